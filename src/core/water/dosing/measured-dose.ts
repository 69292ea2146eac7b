import { assertInRange } from '../../errors'

/** Something a crew measures with: a scoop, a bag, a pump stroke. */
export interface MeasuringUnit {
  readonly name: string
  /** What a full one holds, in the dose's unit (g, mL). */
  readonly weightG: number
  /** The smallest part of it that can be told by eye or weighed out: 0.5 is half a scoop. */
  readonly smallestShare: number
}

export interface MeasuredDose {
  readonly givenG: number
  readonly unit: string
  /** How many of the unit. */
  readonly count: number
}

export interface MeasuringRules {
  /** How far from the wanted amount a measure may be, as a share of it. */
  readonly tolerance: number
  /** Never less than wanted. */
  readonly roundUpOnly: boolean
  /** Never more than this, in the dose's unit. */
  readonly maxG?: number
}

/** The scale that is always there. */
export const SCALE: MeasuringUnit = { name: 'g', weightG: 1, smallestShare: 1 }
export const MEASURED_DOSE_RANGE = {
  wantedG: [0, 1e9],
  weightG: [1e-3, 1e7],
  smallestShare: [0.001, 1],
  tolerance: [0, 1],
} as const
/** Nobody counts more measures than this: it is weighed. @source house default */
const MAX_COUNT = 40
/** Rounding forgives one part in 10⁹. */
const EPSILON = 1e-9

/**
 * An amount as a hand can measure it: in the largest measure that meets the wanted amount within the tolerance, else
 * weighed to the gram.
 * @param wantedG wanted amount, g (or mL)
 * @throws {DomainError} an argument is NaN or out of MEASURED_DOSE_RANGE
 * @source house rule: a 10 kg bag does not round a 2 kg dose to 5
 */
export function measuredDose(
  wantedG: number,
  units: readonly MeasuringUnit[],
  { tolerance, roundUpOnly, maxG = Infinity }: MeasuringRules,
): MeasuredDose {
  assertInRange('wantedG', wantedG, MEASURED_DOSE_RANGE.wantedG)
  assertInRange('tolerance', tolerance, MEASURED_DOSE_RANGE.tolerance)
  const fits = (givenG: number): boolean =>
    givenG > 0 &&
    givenG <= maxG * (1 + EPSILON) &&
    givenG <= wantedG * (1 + tolerance) + EPSILON &&
    givenG >= (roundUpOnly ? wantedG : wantedG * (1 - tolerance)) - EPSILON * wantedG
  if (wantedG > 0)
    for (const unit of [...units].sort((a, b) => b.weightG - a.weightG)) {
      const { count, givenG } = inUnit(wantedG, unit, roundUpOnly)
      if (count <= MAX_COUNT && fits(givenG)) return { givenG, unit: unit.name, count }
    }
  const weighed = inUnit(wantedG, SCALE, roundUpOnly).givenG
  // a gram more than the label is over the label
  const givenG = weighed > maxG ? Math.floor(maxG) : weighed
  return { givenG, unit: SCALE.name, count: givenG }
}

function inUnit(
  wantedG: number,
  { weightG, smallestShare }: MeasuringUnit,
  roundUpOnly: boolean,
): { count: number; givenG: number } {
  assertInRange('weightG', weightG, MEASURED_DOSE_RANGE.weightG)
  assertInRange('smallestShare', smallestShare, MEASURED_DOSE_RANGE.smallestShare)
  const parts = wantedG / (weightG * smallestShare)
  const whole = roundUpOnly ? Math.ceil(parts - EPSILON) : Math.round(parts)
  const count = Number((whole * smallestShare).toPrecision(12))
  return { count, givenG: Number((count * weightG).toPrecision(12)) }
}
