/** Kinds of bog and wetland filters, and what is particular to each. @source domain defaults of the trade */
export const FILTER_TYPES = [
  'container-bog',
  'lined-wetland',
  'raised-trough',
  'horizontal-bed',
  'perimeter-bog',
  'surface-wetland',
  'none',
] as const
export type FilterType = (typeof FILTER_TYPES)[number]

/** Which way the water goes through the stone. */
type FlowPath = 'up' | 'along' | 'over' | 'none'

export interface FilterTypeFacts {
  readonly path: FlowPath
  /** Pond volumes it is usual for, m³. */
  readonly pondM3: readonly [number, number]
  /** Several alike vessels instead of one bed. */
  readonly vessels: boolean
  /** Walls stand above the ground. */
  readonly walled: boolean
  /** Needs a liner of its own. */
  readonly lined: boolean
  /** Water leaves by a pipe (true) or over a ring or lip (false). */
  readonly pipedOutlet: boolean
  /** Deepest stone that is usual, m. */
  readonly usualDepthM: number
}

export const FILTER_TYPE_FACTS: Readonly<Record<FilterType, FilterTypeFacts>> = {
  'container-bog': {
    path: 'up',
    pondM3: [0, 10],
    vessels: true,
    walled: false,
    lined: false,
    pipedOutlet: true,
    usualDepthM: 0.9,
  },
  'lined-wetland': {
    path: 'up',
    pondM3: [1, 100_000],
    vessels: false,
    walled: false,
    lined: true,
    pipedOutlet: false,
    usualDepthM: 1.2,
  },
  'raised-trough': {
    path: 'up',
    pondM3: [0.5, 200],
    vessels: false,
    walled: true,
    lined: true,
    pipedOutlet: true,
    usualDepthM: 1,
  },
  'horizontal-bed': {
    path: 'along',
    pondM3: [0.5, 5000],
    vessels: false,
    walled: false,
    lined: true,
    pipedOutlet: true,
    usualDepthM: 0.3,
  },
  'perimeter-bog': {
    path: 'up',
    pondM3: [1, 5000],
    vessels: false,
    walled: false,
    lined: true,
    pipedOutlet: false,
    usualDepthM: 0.6,
  },
  'surface-wetland': {
    path: 'over',
    pondM3: [1, 100_000],
    vessels: false,
    walled: false,
    lined: true,
    pipedOutlet: false,
    usualDepthM: 0.25,
  },
  none: {
    path: 'none',
    pondM3: [0, 100_000],
    vessels: false,
    walled: false,
    lined: false,
    pipedOutlet: false,
    usualDepthM: 0,
  },
}
