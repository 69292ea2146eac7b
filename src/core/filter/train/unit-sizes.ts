import type { TrainKind, TrainUnit } from './train-unit'

/** What a kind is sold by, and the sizes it comes in, smallest first. */
export interface UnitSizes {
  readonly by: 'ratedFlowM3PerH' | 'mediaL' | 'lampW'
  readonly steps: readonly number[]
  /** Cost of the smallest, minor units of money, and how it grows: cost = first × (size/first size)^growth. */
  readonly firstMinor: number
  readonly growth: number
}

const FLOWS = [5, 10, 20, 40, 80] as const
const MEDIA_L = [60, 120, 250, 500, 1000] as const

const by = (of: UnitSizes['by'], steps: readonly number[], firstMinor: number, growth: number): UnitSizes => ({
  by: of,
  steps,
  firstMinor,
  growth,
})

/** @source usual steps of generic equipment; invented prices of the right order */
export const UNIT_SIZES: Readonly<Record<TrainKind, UnitSizes>> = {
  'skimmer-wall': by('ratedFlowM3PerH', FLOWS, 26_000, 0.5),
  'skimmer-floating': by('ratedFlowM3PerH', FLOWS, 17_000, 0.5),
  'skimmer-pump-fed': by('ratedFlowM3PerH', [2.5, 5, 10], 14_000, 0.5),
  basket: by('ratedFlowM3PerH', FLOWS, 9_000, 0.6),
  sieve: by('ratedFlowM3PerH', FLOWS, 48_000, 0.6),
  drum: by('ratedFlowM3PerH', [10, 20, 35, 60, 100], 240_000, 0.6),
  'static-bed': by('mediaL', MEDIA_L, 42_000, 0.6),
  'moving-bed': by('mediaL', MEDIA_L, 46_000, 0.6),
  pressurised: by('mediaL', [30, 60, 120, 250, 500], 62_000, 0.6),
  'foam-fractionator': by('ratedFlowM3PerH', [2.5, 5, 10, 20], 58_000, 0.6),
  uv: by('lampW', [11, 18, 36, 55, 75, 110, 150, 220, 300], 12_000, 0.55),
  ioniser: by('ratedFlowM3PerH', FLOWS, 32_000, 0.4),
  heater: by('ratedFlowM3PerH', FLOWS, 9_000, 0.4),
  'trickle-tower': by('mediaL', MEDIA_L, 56_000, 0.6),
  'falls-box': by('mediaL', [30, 60, 120, 250], 36_000, 0.6),
  'dosing-unit': by('ratedFlowM3PerH', [10, 50], 31_000, 0.2),
  aerator: by('ratedFlowM3PerH', [1, 2.5, 5, 10], 9_000, 0.7),
}

/** The size that a unit is bought in: the smallest that is as large; the largest where none is. */
export function sizeOf(unit: TrainUnit): number {
  const { by: of, steps } = UNIT_SIZES[unit.kind]
  return steps.find((step) => step >= unit[of] - 1e-9) ?? steps[steps.length - 1]!
}

/** Heaters are priced by their output, wherever they stand. */
export const isPricedBySize = (kind: TrainKind): boolean => kind !== 'heater'

/** Key of a unit's line in the price book. */
export const unitKey = (kind: TrainKind, size: number): string => `unit:${kind}:${size}`

/** Usual cost of a size, minor units, to the next whole ten. */
export const unitMinor = (kind: TrainKind, size: number): number => {
  const { steps, firstMinor, growth } = UNIT_SIZES[kind]
  return Math.round((firstMinor * (size / steps[0]!) ** growth) / 1000) * 1000
}
