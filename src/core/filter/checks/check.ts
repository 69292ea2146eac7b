import type { DesignResult } from '../design'
import type { DesignPond, FilterDesign } from '../design-input'
import type { FilterRules, SizingMethod } from '../house-rules'

export type Verdict = 'pass' | 'look' | 'stop'

/** In the order a reader wants them: size, flow, bed, pipes and pump, pump stop, upkeep, structure, planting, site. */
export const CHECK_IDS = [
  'house-size',
  'nitrogen-size',
  'tan-target',
  'phosphorus',
  'regeneration',
  'stock-limit',
  'surface-to-volume',
  'fits-shore',
  'type-suits',
  'oxygen-flow',
  'turnover',
  'flow-needed',
  'skimmer',
  'falls-look',
  'levels',
  'upflow-velocity',
  'bed-depth',
  'bed-loss',
  'uniformity',
  'root-zone',
  'layer-stability',
  'duty-in-range',
  'pipe-velocity',
  'suction',
  'outlet-capacity',
  'outlet-order',
  'spare-return',
  'power',
  'drain-back',
  'stays-wet',
  'restart',
  'bed-water',
  'vault',
  'trench',
  'flush-interval',
  'serviceability',
  'wall-loads',
  'liner',
  'plants',
  'uv',
  'train-flow',
  'train-order',
  'intake-level',
  'uv-dose',
  'heater-flow',
  'wash-water',
  'train-reach',
  'site-clearances',
  'site-levels',
  'site-stream',
  'site-access',
  'site-supply',
  'site-skimmers',
  'electrics',
  'auto-fill',
  'children',
  'services',
  'winter',
] as const
export type CheckId = (typeof CHECK_IDS)[number]

/** The figure against its limit, in canonical units; wording and units are the reader's. */
export interface Check {
  readonly id: CheckId
  readonly verdict: Verdict
  readonly figure: number
  readonly limit: number
  /** Other numbers and words that its sentence needs. */
  readonly also: Readonly<Record<string, number | string>>
}

export interface CheckContext {
  readonly design: FilterDesign
  readonly pond: DesignPond
  readonly result: DesignResult
  readonly houseMethod: SizingMethod
  readonly rules: FilterRules
}

/** Limits that checks hold a design to. @source domain defaults */
export const CHECK_LIMITS = {
  /** A bed this much smaller than asked still passes: survey and rounding. */
  sizeTolerance: 0.98,
  sizeStopBelow: 0.7,
  upflowLookAboveMPerH: 6,
  upflowStopAboveMPerH: 10,
  bedLossLookAboveMm: 50,
  bedLossStopAboveMm: 150,
  uniformityLeast: 0.9,
  uniformityStopBelow: 0.7,
  plantedDepthLeastM: 0.075,
  freeboardShare: 0.8,
  suctionMPerS: 1.5,
  deliveryMPerS: 2.4,
  velocityStopFactor: 1.5,
  /** Head at a pump's suction over what it needs, m. @source usual margin of pump makers */
  npshMarginM: 0.6,
  wetShareLeast: 0.5,
  /** Skimmers and pump intakes run dry when the pond falls this far, mm. */
  drawdownLookMm: 40,
  drawdownStopMm: 80,
  /** A bed may take this share of the pond's water. */
  bedWaterStopShare: 1 / 3,
  bedWaterLookShare: 0.2,
  /** Deeper than this the trench under a bed wants shoring, or a second vault, m. */
  trenchLookM: 0.45,
  trenchStopM: 0.9,
  flushDaysLeast: 122,
  flushDaysStop: 45,
  serviceLeast: 0.99,
  serviceStopBelow: 0.5,
  /** Widest liner roll, m. */
  widestRollM: 12,
  coverLeast: 0.5,
  /** Bed over pond surface that keeps a swimming pond. */
  regenerationLeast: 0.3,
  regenerationStopBelow: 0.25,
  /** Running power for a pond: a pump at all, and for each m³ of water, W. */
  powerBaseW: 40,
  powerLookWPerM3: 10,
  /** A pump may bring this many times what is needed before it is worth a look. */
  surplusFactor: 2,
  /** What is over at the foot of a fall or a return, m: survey and stone. */
  levelToleranceM: 0.01,
  iceWaterC: 2,
} as const

export const check = (
  id: CheckId,
  verdict: Verdict,
  figure: number,
  limit: number,
  also: Check['also'] = {},
): Check => ({ id, verdict, figure, limit, also })

/** What is as it should be passes, what can be borne is looked at, all else stops: a figure that is NaN as well. */
export const graded = (asItShould: boolean, bearable: boolean): Verdict => {
  if (asItShould) return 'pass'
  return bearable ? 'look' : 'stop'
}

export const atLeast = (figure: number, wanted: number, stopBelowShare: number): Verdict => {
  if (figure >= wanted * CHECK_LIMITS.sizeTolerance) return 'pass'
  if (figure >= wanted * stopBelowShare) return 'look'
  return 'stop'
}

export const atMost = (figure: number, look: number, stop: number): Verdict => {
  if (figure <= look) return 'pass'
  if (figure <= stop) return 'look'
  return 'stop'
}
