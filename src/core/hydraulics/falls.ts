import { findRoot } from '../numeric/root'
import { weirFlowM3PerH, WEIR_RANGE } from './weir'

/**
 * How a sheet of water over stone looks, by its thickness at the lip: a thin film clings to the stone.
 * @source house default by eye, editable
 */
export const FALLS_LOOKS = [
  { look: 'dry', fromM: 0 },
  { look: 'trickle', fromM: 0.0005 },
  { look: 'curtain', fromM: 0.005 },
  { look: 'full', fromM: 0.015 },
  { look: 'torrent', fromM: 0.04 },
] as const
export type FallsLook = (typeof FALLS_LOOKS)[number]['look']

/** Thinner sheets are not told apart from a wet stone, m. */
const THINNEST_M = 1e-5

/** Sheet that reads as an even curtain, m. @source house default */
const WANTED_SHEET_M = 0.01

/**
 * Thickness of the sheet over a lip, m: Kindsvater and Carter solved for the head. Beyond the weir's range the
 * range's end is given.
 */
export function sheetM(flowM3PerH: number, widthM: number): number {
  const [low, high] = WEIR_RANGE.headM
  if (flowM3PerH <= 0) return 0
  const excess = (headM: number) => weirFlowM3PerH(widthM, headM) - flowM3PerH
  if (excess(high) <= 0) return high
  // less than surface tension lets over: a film of no thickness that could be told
  if (excess(THINNEST_M) >= 0) return 0
  return findRoot(excess, { low, high }, 1e-7).x
}

export const fallsLook = (thicknessM: number): FallsLook =>
  FALLS_LOOKS.findLast((step) => thicknessM >= step.fromM)?.look ?? 'dry'

/** Flow that gives a lip the wanted sheet, m³/h. */
export const fallsFlowM3PerH = (widthM: number, wantedM = WANTED_SHEET_M): number => weirFlowM3PerH(widthM, wantedM)

/**
 * Share of the oxygen deficit that a fall makes good: 1 − 1/r, r = 1 + 0.38·a·b·h·(1 − 0.11h)(1 + 0.046T).
 * @param dropM height of the fall, m
 * @source Gameson 1957 as used for weirs (a 1.25 slightly polluted, b 1.0 free fall)
 */
export function fallsReaeration(dropM: number, tempC: number): number {
  const h = Math.max(0, Math.min(dropM, 4))
  const ratio = 1 + 0.38 * 1.25 * h * (1 - 0.11 * h) * (1 + 0.046 * tempC)
  return 1 - 1 / ratio
}
