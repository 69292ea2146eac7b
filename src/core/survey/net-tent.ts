import { assertInRange } from '../errors'

/** Rules for a leaf net held up as a tent. @source trade rules */
export const NET_RULES = {
  /** Leaves slide from 15–20° on; begun with the lower and raised until the sagging net clears the water. */
  pitchDeg: [16, 45],
  postSpacingM: 3,
  pinSpacingM: 0.8,
  turnDownM: 0.3,
  /** Sag of a slope under wet leaves, share of its length. */
  sagShare: 0.05,
  clearanceM: 0.2,
  /** Net over what is measured, for folds and uneven rims. */
  slackShare: 0.05,
} as const

const NET_RANGE = { spanM: [0.3, 100], freeboardM: [0, 2] } as const

export interface NetTent {
  readonly pitchDeg: number
  readonly ridgeLengthM: number
  readonly ridgeHeightM: number
  readonly posts: number
  readonly pins: number
  /** Least height of the loaded net over the water between rim and ridge, m. */
  readonly clearanceM: number
  readonly net: { readonly lengthM: number; readonly widthM: number }
}

const PITCH_STEP_DEG = 1
const radians = (deg: number): number => (deg * Math.PI) / 180

/**
 * A net over a pond as a tent with a ridge along its longer axis: pitch, ridge line, posts, edge pins and the size of
 * the net.
 * @param pond extents along both axes and how far the water stands below the rim, m
 * @throws {DomainError} a figure out of NET_RANGE
 */
export function netTent({
  lengthM,
  widthM,
  freeboardM,
}: {
  lengthM: number
  widthM: number
  freeboardM: number
}): NetTent {
  assertInRange('lengthM', lengthM, NET_RANGE.spanM)
  assertInRange('widthM', widthM, NET_RANGE.spanM)
  assertInRange('freeboardM', freeboardM, NET_RANGE.freeboardM)
  const [long, short] = lengthM >= widthM ? [lengthM, widthM] : [widthM, lengthM]
  const half = short / 2
  const clearance = (deg: number) =>
    freeboardM + (half * Math.tan(radians(deg))) / 2 - (NET_RULES.sagShare * half) / Math.cos(radians(deg))
  let pitchDeg: number = NET_RULES.pitchDeg[0]
  while (clearance(pitchDeg) < NET_RULES.clearanceM && pitchDeg < NET_RULES.pitchDeg[1]) pitchDeg += PITCH_STEP_DEG
  const slopeM = half / Math.cos(radians(pitchDeg))
  const turned = 2 * NET_RULES.turnDownM
  const slack = 1 + NET_RULES.slackShare
  return {
    pitchDeg,
    ridgeLengthM: long,
    ridgeHeightM: half * Math.tan(radians(pitchDeg)),
    posts: Math.ceil(long / NET_RULES.postSpacingM - 1e-9) + 1,
    pins: Math.ceil((2 * (long + short)) / NET_RULES.pinSpacingM - 1e-9),
    clearanceM: clearance(pitchDeg),
    net: { lengthM: long * slack + turned, widthM: 2 * slopeM * slack + turned },
  }
}

/**
 * Mesh that keeps leaves out, mm: small leaves slip through a wide one; 20 mm still keeps birds off without catching
 * them.
 * @source trade rule
 */
export const netMeshMm = (trees: 'none' | 'some' | 'many'): number => ({ none: 20, some: 15, many: 10 })[trees]
