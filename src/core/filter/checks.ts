import type { BedDesign, DesignPond } from './design-input'
import type { DesignResult } from './design'
import { STABILITY_LIMIT } from './layers'
import type { School } from './practice'

export type Verdict = 'pass' | 'look' | 'stop'

export const CHECK_IDS = [
  'house-size',
  'nitrogen-size',
  'oxygen-flow',
  'upflow-velocity',
  'bed-loss',
  'uniformity',
  'root-zone',
  'layer-stability',
  'duty-in-range',
  'drain-back',
] as const
export type CheckId = (typeof CHECK_IDS)[number]

/** The figure against its limit, in canonical units; wording and units are the reader's. */
export interface Check {
  readonly id: CheckId
  readonly verdict: Verdict
  readonly figure: number
  readonly limit: number
  /** Other numbers that its sentence needs. */
  readonly also: Readonly<Record<string, number | string>>
}

/** Limits that a check holds a design to. @source domain defaults */
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
  rootShareLeast: 0.5,
  plantedDepthLeastM: 0.075,
  freeboardShare: 0.8,
} as const

const atLeast = (figure: number, wanted: number, stopBelow: number): Verdict =>
  figure >= wanted * CHECK_LIMITS.sizeTolerance ? 'pass' : figure >= wanted * stopBelow ? 'look' : 'stop'

const atMost = (figure: number, look: number, stop: number): Verdict => (figure <= look ? 'pass' : figure <= stop ? 'look' : 'stop')

/** Holds a worked-out design to the rules of the trade, most important first. */
export function checkDesign(design: BedDesign, pond: DesignPond, result: DesignResult, houseSchool: School): Check[] {
  const area = (sizing: DesignResult['now'], school: School) => sizing.schools.find((s) => s.school === school)!
  const nitrogenNow = area(result.now, 'nitrogen').areaM2
  const nitrogenGrown = area(result.grown, 'nitrogen').areaM2
  const worstPair = result.stability.reduce((worst, pair) => Math.max(worst, pair.ratio), 0)
  const planted = plantedDepthM(design)
  const inRange = result.flowM3PerH >= result.pump.recommended[0] && result.flowM3PerH <= result.pump.recommended[1]
  const freeboardMm = pond.freeboardM * 1000
  return [
    {
      id: 'house-size',
      verdict: atLeast(result.areaM2, result.houseAreaM2, CHECK_LIMITS.sizeStopBelow),
      figure: result.areaM2,
      limit: result.houseAreaM2,
      also: { school: houseSchool },
    },
    {
      id: 'nitrogen-size',
      verdict: result.areaM2 < nitrogenNow * CHECK_LIMITS.sizeTolerance ? 'stop' : atLeast(result.areaM2, nitrogenGrown, 0),
      figure: result.areaM2,
      limit: nitrogenGrown,
      also: { now: nitrogenNow, tan: result.worstTanMgL },
    },
    {
      id: 'oxygen-flow',
      verdict: result.duty.status === 'no-flow' ? 'stop' : atLeast(result.flowM3PerH, result.demand.oxygenM3PerH, CHECK_LIMITS.sizeStopBelow),
      figure: result.flowM3PerH,
      limit: result.demand.oxygenM3PerH,
      also: { needed: result.demand.neededM3PerH },
    },
    {
      id: 'upflow-velocity',
      verdict: atMost(result.velocityMPerH, CHECK_LIMITS.upflowLookAboveMPerH, CHECK_LIMITS.upflowStopAboveMPerH),
      figure: result.velocityMPerH,
      limit: CHECK_LIMITS.upflowStopAboveMPerH,
      also: {},
    },
    {
      id: 'bed-loss',
      verdict: atMost(result.cleanLossMm, CHECK_LIMITS.bedLossLookAboveMm, CHECK_LIMITS.bedLossStopAboveMm),
      figure: result.cleanLossMm,
      limit: CHECK_LIMITS.bedLossLookAboveMm,
      also: { atFlush: result.atFlushLossMm, flushDays: result.flushDays },
    },
    {
      id: 'uniformity',
      verdict: result.uniformity >= CHECK_LIMITS.uniformityLeast ? 'pass' : result.uniformity >= CHECK_LIMITS.uniformityStopBelow ? 'look' : 'stop',
      figure: result.uniformity,
      limit: CHECK_LIMITS.uniformityLeast,
      also: {},
    },
    {
      id: 'root-zone',
      // upflow: what enters evenly passes the planting layer on its way out, so the share is the evenness where roots can stand
      verdict: planted < CHECK_LIMITS.plantedDepthLeastM ? 'look' : result.uniformity >= CHECK_LIMITS.rootShareLeast ? 'pass' : 'stop',
      figure: result.uniformity,
      limit: CHECK_LIMITS.rootShareLeast,
      also: { planted, plantedLeast: CHECK_LIMITS.plantedDepthLeastM },
    },
    { id: 'layer-stability', verdict: worstPair <= STABILITY_LIMIT ? 'pass' : 'stop', figure: worstPair, limit: STABILITY_LIMIT, also: {} },
    {
      id: 'duty-in-range',
      verdict: result.duty.status === 'no-flow' ? 'stop' : result.duty.status === 'beyond-curve' || !inRange ? 'look' : 'pass',
      figure: result.flowM3PerH,
      limit: result.pump.recommended[1],
      also: { least: result.pump.recommended[0], status: result.duty.status },
    },
    {
      id: 'drain-back',
      verdict: atMost(result.pondRiseMm, freeboardMm * CHECK_LIMITS.freeboardShare, freeboardMm),
      figure: result.pondRiseMm,
      limit: freeboardMm,
      also: { volume: result.drainBackM3 },
    },
  ]
}

/** Depth of fine planting stone at the top of the bed, m. */
function plantedDepthM(design: BedDesign): number {
  const top = design.layers.at(-1)
  return top && (top.material === 'planting-6-12' || top.material === 'pea-gravel') ? top.thicknessM : 0
}
