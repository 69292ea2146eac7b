/** What planning needs to know of a kind of job beside its steps. */
export interface JobPlanning {
  readonly skills: readonly string[]
  readonly kit: readonly string[]
  /** Worth against an ordinary visit: what a season cannot do without counts more. */
  readonly value: number
  /**
   * Follows a window of the pond's year, comes round every so many days between two dates, or is planned by hand
   * alone.
   */
  readonly timing: 'window' | 'interval' | 'by-hand'
  /** Person-minutes: a base, and more for each m² of water surface. Cleanouts are worked out part by part instead. */
  readonly hands: { readonly baseMin: number; readonly perM2Min: number } | null
  /** What the truck takes away, m³: a base, and more for each m² of water surface. */
  readonly spoil: { readonly baseM3: number; readonly perM2M3: number }
  /** Fills the pond from the mains, so that it cannot be done while that is restricted. */
  readonly fills: boolean
  /** Other jobs of the season that it makes needless. */
  readonly covers: readonly string[]
  /** Other jobs that the same visit does when both fall due. */
  readonly takesAlong: readonly string[]
  /** Jobs that must come before it in the same season, with days between. */
  readonly after: readonly { readonly job: string; readonly minDays: number; readonly maxDays: number }[]
}

export const SKILLS = ['fish', 'electrics', 'pesticide'] as const
export const KIT = ['tank', 'washer', 'flush-pump', 'net-poles'] as const

/** @source house defaults; logged times correct the minutes */
export const VISIT_PLANNING: Readonly<Record<string, JobPlanning>> = {
  'spring-cleanout': {
    skills: ['fish'],
    kit: ['tank', 'washer'],
    value: 4,
    timing: 'window',
    hands: null,
    spoil: { baseM3: 0.3, perM2M3: 0.012 },
    fills: true,
    covers: ['spring-startup', 'wetland-flush'],
    takesAlong: [],
    after: [],
  },
  // planned with the first day alone, which knows its minutes
  'cleanout-second-day': {
    skills: ['fish'],
    kit: ['tank'],
    value: 4,
    timing: 'by-hand',
    hands: { baseMin: 140, perM2Min: 0 },
    spoil: { baseM3: 0, perM2M3: 0 },
    fills: true,
    covers: [],
    takesAlong: [],
    after: [],
  },
  'spring-startup': {
    skills: [],
    kit: [],
    value: 3,
    timing: 'window',
    hands: { baseMin: 130, perM2Min: 1 },
    spoil: { baseM3: 0.1, perM2M3: 0.004 },
    fills: false,
    covers: [],
    takesAlong: [],
    after: [],
  },
  routine: {
    skills: [],
    kit: [],
    value: 1,
    timing: 'interval',
    hands: { baseMin: 60, perM2Min: 0.8 },
    spoil: { baseM3: 0.05, perM2M3: 0.001 },
    fills: false,
    covers: [],
    takesAlong: ['plant-care'],
    after: [],
  },
  'plant-care': {
    skills: [],
    kit: [],
    value: 1,
    timing: 'interval',
    hands: { baseMin: 50, perM2Min: 1.2 },
    spoil: { baseM3: 0.1, perM2M3: 0.004 },
    fills: false,
    covers: [],
    takesAlong: [],
    after: [],
  },
  'wetland-flush': {
    skills: [],
    kit: ['flush-pump'],
    value: 2,
    timing: 'interval',
    hands: { baseMin: 120, perM2Min: 0.6 },
    spoil: { baseM3: 0.05, perM2M3: 0 },
    fills: false,
    covers: [],
    takesAlong: ['routine', 'plant-care'],
    after: [{ job: 'spring-startup', minDays: 7, maxDays: 365 }],
  },
  netting: {
    skills: [],
    kit: ['net-poles'],
    value: 2,
    timing: 'window',
    hands: { baseMin: 60, perM2Min: 2.2 },
    spoil: { baseM3: 0.05, perM2M3: 0.002 },
    fills: false,
    covers: [],
    takesAlong: ['routine', 'plant-care'],
    after: [],
  },
  'winter-shutdown': {
    skills: [],
    kit: [],
    value: 3,
    timing: 'window',
    hands: { baseMin: 150, perM2Min: 1.1 },
    spoil: { baseM3: 0.15, perM2M3: 0.006 },
    fills: true,
    covers: [],
    takesAlong: ['routine'],
    after: [{ job: 'netting', minDays: 1, maxDays: 365 }],
  },
  'winter-check': {
    skills: [],
    kit: [],
    value: 1,
    timing: 'interval',
    hands: { baseMin: 40, perM2Min: 0.1 },
    spoil: { baseM3: 0.01, perM2M3: 0 },
    fills: false,
    covers: [],
    takesAlong: [],
    after: [],
  },
  'winter-running': {
    skills: [],
    kit: [],
    value: 2,
    timing: 'window',
    hands: { baseMin: 80, perM2Min: 0.4 },
    spoil: { baseM3: 0.05, perM2M3: 0.002 },
    fills: false,
    covers: [],
    takesAlong: ['routine'],
    after: [],
  },
  'tub-care': {
    skills: [],
    kit: [],
    value: 1,
    timing: 'interval',
    hands: { baseMin: 35, perM2Min: 2 },
    spoil: { baseM3: 0.02, perM2M3: 0.005 },
    fills: false,
    covers: [],
    takesAlong: [],
    after: [],
  },
  'rescue-floor': {
    skills: ['fish'],
    kit: ['flush-pump'],
    value: 3,
    timing: 'by-hand',
    hands: { baseMin: 150, perM2Min: 1.5 },
    spoil: { baseM3: 0.3, perM2M3: 0.01 },
    fills: true,
    covers: [],
    takesAlong: [],
    after: [],
  },
  'rescue-strainers': {
    skills: [],
    kit: [],
    value: 3,
    timing: 'by-hand',
    hands: { baseMin: 120, perM2Min: 0.6 },
    spoil: { baseM3: 0.1, perM2M3: 0.002 },
    fills: true,
    covers: [],
    takesAlong: [],
    after: [],
  },
  'rescue-media': {
    skills: [],
    kit: [],
    value: 3,
    timing: 'by-hand',
    hands: { baseMin: 120, perM2Min: 0.6 },
    spoil: { baseM3: 0.1, perM2M3: 0.002 },
    fills: true,
    covers: [],
    takesAlong: [],
    after: [],
  },
  'rescue-rocks': {
    skills: ['fish'],
    kit: ['flush-pump'],
    value: 3,
    timing: 'by-hand',
    hands: { baseMin: 180, perM2Min: 1.2 },
    spoil: { baseM3: 0.3, perM2M3: 0.01 },
    fills: true,
    covers: [],
    takesAlong: [],
    after: [],
  },
  'filter-build': {
    skills: [],
    kit: [],
    value: 2,
    timing: 'by-hand',
    hands: { baseMin: 1400, perM2Min: 12 },
    spoil: { baseM3: 0.5, perM2M3: 0.02 },
    fills: true,
    covers: [],
    takesAlong: [],
    after: [],
  },
  commissioning: {
    skills: [],
    kit: [],
    value: 2,
    timing: 'by-hand',
    hands: { baseMin: 40, perM2Min: 0.1 },
    spoil: { baseM3: 0, perM2M3: 0 },
    fills: false,
    covers: [],
    takesAlong: [],
    after: [],
  },
}

/**
 * Getting ready and packing up, which a second job on the same visit does not need again, person-minutes.
 * @source house default
 */
export const SHARED_SETUP_MIN = 30
