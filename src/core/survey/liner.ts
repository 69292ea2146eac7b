import { assertInRange } from '../errors'

export interface SheetSize {
  readonly lengthM: number
  readonly widthM: number
  readonly areaM2: number
}

const LINER_RANGE = { sideM: [0.1, 500], depthM: [0, 15], overlapM: [0, 3] } as const

/** Liner over the rim on each side, m. @source trade rule */
export const LINER_OVERLAP_M = 0.3

/**
 * Liner or underlayment that lines a hole of a length, width and greatest depth: each way the side + 2·depth +
 * 2·overlap.
 * Sloping walls need less; the rule errs on the long side.
 * @throws {DomainError} a figure out of LINER_RANGE
 */
export function linerSize(hole: { lengthM: number; widthM: number; depthM: number; overlapM?: number }): SheetSize {
  const { lengthM, widthM, depthM, overlapM = LINER_OVERLAP_M } = hole
  assertInRange('lengthM', lengthM, LINER_RANGE.sideM)
  assertInRange('widthM', widthM, LINER_RANGE.sideM)
  assertInRange('depthM', depthM, LINER_RANGE.depthM)
  assertInRange('overlapM', overlapM, LINER_RANGE.overlapM)
  const extra = 2 * depthM + 2 * overlapM
  return { lengthM: lengthM + extra, widthM: widthM + extra, areaM2: (lengthM + extra) * (widthM + extra) }
}
