import type { TrainKind, TrainUnit } from './train-unit'

/** Steps of a train: coarse before fine, solids before bacteria, lamps in clear water, open falls at the end. */
const STAGE: Readonly<Record<TrainKind, number>> = {
  'skimmer-wall': 0,
  'skimmer-floating': 0,
  'skimmer-pump-fed': 0,
  basket: 1,
  sieve: 2,
  drum: 3,
  'static-bed': 4,
  'moving-bed': 5,
  pressurised: 5,
  uv: 6,
  ioniser: 6,
  heater: 6,
  'trickle-tower': 7,
  'falls-box': 7,
  'foam-fractionator': 8,
  'dosing-unit': 8,
  aerator: 8,
}

/** A unit that stands before one that should come first. */
export interface Misplaced {
  readonly first: TrainKind
  readonly then: TrainKind
  readonly why: 'coarse-first' | 'solids-first' | 'lamp-after-screens' | 'open-last'
}

const whyOf = (first: number): Misplaced['why'] => {
  if (first >= 7) return 'open-last'
  if (first === 6) return 'lamp-after-screens'
  return first >= 4 ? 'solids-first' : 'coarse-first'
}

/** Pairs that stand the wrong way round within a line. */
export function misplaced(train: readonly TrainUnit[]): Misplaced[] {
  return (['intake', 'pressure'] as const).flatMap((line) => {
    const units = train.filter((unit) => unit.line === line)
    return units.flatMap((unit, i) => {
      const later = units.slice(i + 1).find((other) => STAGE[other.kind] < STAGE[unit.kind])
      return later ? [{ first: unit.kind, then: later.kind, why: whyOf(STAGE[unit.kind]) }] : []
    })
  })
}

/** The train in the usual order of its line; what stands alike keeps its place. */
export const inOrder = (train: readonly TrainUnit[]): TrainUnit[] => {
  const line = { pond: 0, intake: 1, pressure: 2, side: 3 } as const
  return [...train].sort((a, b) => line[a.line] - line[b.line] || STAGE[a.kind] - STAGE[b.kind])
}
