import { sizeRank } from '../../hydraulics/fittings'
import type { DesignResult } from '../design'
import type { FilterDesign } from '../design-input'
import { isDryMounted } from '../flow/pump-catalogue'
import { levelsOf } from '../levels'
import { FILTER_TYPE_FACTS } from '../types'
import { atMost, check, type Check, CHECK_LIMITS, type CheckContext, graded } from './check'

/** Pump, pipes and the way back. */
export function pipeChecks({ design, pond, result, rules }: CheckContext): Check[] {
  if (result.duty.status === 'no-pump') return []
  // in a network other pumps carry their share
  const own = result.duty.status === 'no-flow' ? 0 : result.duty.flowM3PerH
  const inRange = own >= result.recommended[0] && own <= result.recommended[1]
  const suction = result.suction?.velocityMPerS ?? 0
  // whichever side is worse against its own limit
  const [speed, limit] =
    suction / CHECK_LIMITS.suctionMPerS > result.head.velocityMPerS / CHECK_LIMITS.deliveryMPerS
      ? [suction, CHECK_LIMITS.suctionMPerS]
      : [result.head.velocityMPerS, CHECK_LIMITS.deliveryMPerS]
  return [
    check(
      'duty-in-range',
      graded(result.duty.status === 'found' && inRange, result.duty.status !== 'no-flow'),
      own,
      result.recommended[1],
      { least: result.recommended[0], status: result.duty.status, clogged: result.cloggedFlowM3PerH },
    ),
    check('pipe-velocity', atMost(speed, limit, limit * CHECK_LIMITS.velocityStopFactor), speed, limit, {
      side: limit === CHECK_LIMITS.suctionMPerS ? 'suction' : 'delivery',
    }),
    ...suctionCheck(design, result),
    ...levelsCheck(design),
    powerCheck(pond, result),
    ...outletChecks({ design, result, rules }),
  ]
}

function outletChecks({
  design,
  result,
  rules: { tables },
}: Pick<CheckContext, 'design' | 'result' | 'rules'>): Check[] {
  if (!FILTER_TYPE_FACTS[design.type].pipedOutlet) return []
  const { count, diameterM } = design.outlet
  const halfFull = count * result.outlet.halfFullM3PerH
  // with two or more, the others must carry everything when one is blocked
  const blocked = (count > 1 ? count - 1 : 1) * result.outlet.fullM3PerH
  const flow = result.bedFlowM3PerH
  const larger = sizeRank(diameterM, tables.pipes) > sizeRank(design.delivery.diameterM, tables.pipes)
  return [
    check('outlet-capacity', graded(flow <= halfFull, flow <= blocked), flow, halfFull, {
      blocked,
      count,
    }),
    check(
      'outlet-order',
      graded(larger, diameterM * Math.sqrt(count) > design.delivery.diameterM * 1.2),
      diameterM,
      design.delivery.diameterM,
      { count },
    ),
    ...(design.raisedM > 0 || design.stand !== 'ground'
      ? [check('spare-return', graded(count > 1, design.stand === 'ground'), count, 2, { stand: design.stand })]
      : []),
  ]
}

/**
 * A dry-mounted pump has a line to draw by, boils no water in it, and keeps it full when it stops.
 */
function suctionCheck(design: FilterDesign, { pump, suction }: DesignResult): Check[] {
  if (suction === null || design.suction === null)
    return pump && isDryMounted(pump) ? [check('suction', 'stop', 0, pump.dryNpshM!, { problem: 'no-line' })] : []
  const { npshAvailableM, npshRequiredM } = suction
  const { npshMarginM } = CHECK_LIMITS
  const dry = design.suction.liftM > 0 && !design.suction.footValve
  const short = npshAvailableM < npshRequiredM + npshMarginM
  const problem = () => {
    if (short) return 'head'
    return dry ? 'prime' : 'none'
  }
  return [
    check('suction', graded(!short && !dry, npshAvailableM >= npshRequiredM), npshAvailableM, npshRequiredM, {
      problem: problem(),
      lift: design.suction.liftM,
      loss: suction.lossM,
    }),
  ]
}

/** Water can only fall as far as it was lifted. */
function levelsCheck(design: CheckContext['design']): Check[] {
  const { fallsFootM, returnEndM } = levelsOf(design)
  const feet = [fallsFootM, returnEndM].filter((m) => m !== null)
  if (feet.length === 0) return []
  const lowest = Math.min(...feet)
  return [
    check(
      'levels',
      lowest >= -CHECK_LIMITS.levelToleranceM ? 'pass' : 'stop',
      design.staticLiftM - lowest,
      design.staticLiftM,
      { which: lowest === fallsFootM ? 'falls' : 'return' },
    ),
  ]
}

function powerCheck(pond: CheckContext['pond'], result: CheckContext['result']): Check {
  const watts = result.powerW + result.train.powerW
  const usual = CHECK_LIMITS.powerBaseW + CHECK_LIMITS.powerLookWPerM3 * pond.volumeM3
  // power for a flow that something asks for can be borne; for one that nothing asks for it is drawn wrong
  const asked = result.flowM3PerH <= result.demand.neededM3PerH * CHECK_LIMITS.surplusFactor
  return check('power', graded(watts <= usual, asked), watts, usual, {
    energy: result.energyKWhPerYear + result.train.energyKWhPerYear,
  })
}
