import type { PondLining } from '../../survey/lining'
import type { DesignPond, FilterDesign } from '../design-input'
import { litterPast } from './capture'
import { newUnit } from './new-unit'
import { SKIMMER_M3_PER_H_PER_M, SKIMMER_SERVES_M2 } from './skimmers'
import { isSkimmer, type TrainUnit } from './train-unit'

export const SKIMMER_KINDS = ['skimmer-wall', 'skimmer-floating', 'skimmer-pump-fed'] as const
export type SkimmerKind = (typeof SKIMMER_KINDS)[number]

/** How well a kind of skimmer goes with a pond. */
export type SkimmerFit = 'fits' | 'look' | 'no'

/** Why it goes well or not, and what is fitted with it. */
export const SKIMMER_REASONS = [
  'clamped-cut',
  'old-liner-tears',
  'rigid-wants-backing',
  'concrete-is-cored',
  'clay-has-no-edge',
  'lining-unknown',
  'line-through-wall',
  'line-over-rim',
  'too-shallow',
  'no-hole',
  'large-surface',
] as const
export type SkimmerReason = (typeof SKIMMER_REASONS)[number]

export const SKIMMER_PARTS = [
  'clamp-flange',
  'liner-patch',
  'gasket-flange',
  'backing-block',
  'core-hole',
  'sealing-mortar',
  'bulkhead',
  'suction-hose',
  'foot-valve',
  'power-point',
] as const
export type SkimmerPart = (typeof SKIMMER_PARTS)[number]

interface Rule {
  readonly fit: SkimmerFit
  readonly reason: SkimmerReason
  readonly parts: readonly SkimmerPart[]
}

const THROUGH = { fit: 'fits', reason: 'line-through-wall', parts: ['bulkhead', 'suction-hose'] } as const
const OVER = { fit: 'fits', reason: 'line-over-rim', parts: ['suction-hose', 'foot-valve'] } as const
const OWN_PUMP = { fit: 'fits', reason: 'no-hole', parts: ['power-point'] } as const

/**
 * How each kind is fitted to an existing pond by what seals it.
 * @source trade practice: a cut is clamped in sound liner only; rigid shells are backed where they are cut; concrete is
 * cored; what cannot be cut is skimmed by a line over the rim or by a skimmer with its own pump
 */
const RULES: Readonly<Record<SkimmerKind, Readonly<Record<PondLining, Rule>>>> = {
  'skimmer-wall': {
    liner: { fit: 'fits', reason: 'clamped-cut', parts: ['clamp-flange'] },
    'old-liner': { fit: 'no', reason: 'old-liner-tears', parts: [] },
    preformed: { fit: 'look', reason: 'rigid-wants-backing', parts: ['gasket-flange', 'backing-block'] },
    concrete: { fit: 'look', reason: 'concrete-is-cored', parts: ['core-hole', 'gasket-flange', 'sealing-mortar'] },
    clay: { fit: 'no', reason: 'clay-has-no-edge', parts: [] },
    unknown: { fit: 'look', reason: 'lining-unknown', parts: ['clamp-flange', 'liner-patch'] },
  },
  'skimmer-floating': {
    liner: THROUGH,
    'old-liner': OVER,
    preformed: THROUGH,
    concrete: { ...THROUGH, parts: ['core-hole', ...THROUGH.parts] },
    clay: OVER,
    unknown: OVER,
  },
  'skimmer-pump-fed': {
    liner: OWN_PUMP,
    'old-liner': OWN_PUMP,
    preformed: OWN_PUMP,
    concrete: OWN_PUMP,
    clay: OWN_PUMP,
    unknown: OWN_PUMP,
  },
}

/** A floating skimmer sinks to this depth when the pump draws; one with its own pump stands about so high, m. */
const LEAST_DEPTH_M = { 'skimmer-wall': 0, 'skimmer-floating': 0.45, 'skimmer-pump-fed': 0.35 } as const
/** More than so many small skimmers with pumps of their own are more work than one line. @source house default */
const MOST_PUMP_FED = 2

export interface SkimmerChoice {
  readonly kind: SkimmerKind
  readonly fit: SkimmerFit
  readonly reason: SkimmerReason
  readonly parts: readonly SkimmerPart[]
  readonly count: number
  /** Each of them. */
  readonly unit: TrainUnit
  /** Flow that all of them together want, and can still take, m³/h. */
  readonly drawM3PerH: readonly [number, number]
  /** Leaf litter that still sinks to the floor with them, kg dry a year: that is vacuumed, not skimmed. */
  readonly sinksKgPerYear: number
}

/**
 * Skimmers that a pond could have in place of those it has: how each kind goes with what seals it, how many, and what
 * they leave.
 * @param deepestM deepest place of the pond, m; null where it is not known
 */
export const skimmerChoices = (
  pond: Pick<DesignPond, 'areaM2' | 'volumeM3' | 'leafKgPerYear' | 'lining'>,
  design: Pick<FilterDesign, 'train'>,
  flowM3PerH: number,
  deepestM: number | null,
): SkimmerChoice[] =>
  SKIMMER_KINDS.map((kind) => {
    const byArea = Math.ceil(pond.areaM2 / SKIMMER_SERVES_M2[kind] - 1e-9)
    const count = Math.max(1, byArea, kind === 'skimmer-pump-fed' ? 0 : mouthsFor(kind, flowM3PerH))
    const unit = sized(kind, flowM3PerH / count, pond.volumeM3)
    const others = design.train.filter((other) => !isSkimmer(other.kind))
    return {
      kind,
      ...fitOf(kind, pond.lining, count, deepestM),
      count,
      unit,
      drawM3PerH: [count * unit.weirM * SKIMMER_M3_PER_H_PER_M.least, count * unit.weirM * SKIMMER_M3_PER_H_PER_M.most],
      sinksKgPerYear: pond.leafKgPerYear * litterPast([...Array<TrainUnit>(count).fill(unit), ...others]),
    }
  })

function fitOf(kind: SkimmerKind, lining: PondLining, count: number, deepestM: number | null): Rule {
  const rule = RULES[kind][lining]
  if (deepestM !== null && deepestM < LEAST_DEPTH_M[kind]) return { ...rule, fit: 'no', reason: 'too-shallow' }
  if (kind === 'skimmer-pump-fed' && count > MOST_PUMP_FED) return { ...rule, fit: 'look', reason: 'large-surface' }
  return rule
}

/** Widths of mouth that are sold, m, narrowest first; those with a pump of their own have one. @source house default */
const MOUTHS_M: Readonly<Record<SkimmerKind, readonly number[]>> = {
  'skimmer-wall': [0.2, 0.25, 0.4, 0.5, 0.6],
  'skimmer-floating': [0.2, 0.3, 0.4],
  'skimmer-pump-fed': [0.2],
}
const OWN_FLOW_M3_PER_H = 5
/** A mouth is chosen for a little less than it can take: the pump may bring more on some days. */
const OF_MOST = 0.8

const mostThroughM3PerH = (mouthM: number): number => mouthM * SKIMMER_M3_PER_H_PER_M.most * OF_MOST

/** How many of the widest mouths the pump's flow wants. */
const mouthsFor = (kind: SkimmerKind, flowM3PerH: number): number =>
  Math.ceil(flowM3PerH / mostThroughM3PerH(MOUTHS_M[kind].at(-1)!) - 1e-9)

/** The narrowest mouth that takes its flow; those with a pump of their own are sold in one size. */
function sized(kind: SkimmerKind, flowM3PerH: number, pondM3: number): TrainUnit {
  const through = kind === 'skimmer-pump-fed' ? OWN_FLOW_M3_PER_H : flowM3PerH
  const mouths = MOUTHS_M[kind]
  const weirM = mouths.find((mouthM) => mostThroughM3PerH(mouthM) >= through - 1e-9) ?? mouths.at(-1)!
  return { ...newUnit(kind, { flowM3PerH: through, pondM3 }), weirM }
}

/** The train with a choice's skimmers in place of those it has, first on the water's way. */
export const withSkimmers = (train: readonly TrainUnit[], { count, unit }: SkimmerChoice): TrainUnit[] => [
  ...Array<TrainUnit>(count).fill(unit),
  ...train.filter((other) => !isSkimmer(other.kind)),
]
