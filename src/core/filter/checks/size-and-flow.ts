import { FILTER_TYPE_FACTS } from '../types'
import { mouthLoadings, skimmedM2, SKIMMER_M3_PER_H_PER_M } from '../train/skimmers'
import type { SizingMethod } from '../house-rules'
import { STILL_WATER_LIMITS } from '../sizing/still-water'
import { atLeast, check, CHECK_LIMITS, type Check, type CheckContext, graded } from './check'

/** Is it large enough, and does enough water go through it. */
// eslint-disable-next-line max-lines-per-function -- a list of checks
export function sizeAndFlowChecks(context: CheckContext): Check[] {
  const { design, pond, result, houseMethod, rules } = context
  const target = rules.targetTanMgL
  const area = (sizing: typeof result.now, sizingMethod: SizingMethod) =>
    sizing.sizingMethods.find((s) => s.sizingMethod === sizingMethod)!.areaM2
  const [nitrogenNow, nitrogenGrown] = [area(result.now, 'nitrogen'), area(result.grown, 'nitrogen')]
  const treated = design.type === 'none' ? result.flowM3PerH : result.bedFlowM3PerH
  const facts = FILTER_TYPE_FACTS[design.type]
  // media beside the bed carry part of the load: as much bed as they stand for counts with it
  const depth = result.treatment.stoneM3 > 0 ? result.treatment.stoneM3 / result.areaM2 : 1
  const withMedia = result.areaM2 + result.treatment.mediaAsBedM3 / depth
  return [
    ...(design.type === 'none'
      ? []
      : [
          check(
            'house-size',
            atLeast(result.areaM2, result.houseAreaM2, CHECK_LIMITS.sizeStopBelow),
            result.areaM2,
            result.houseAreaM2,
            {
              sizingMethod: houseMethod,
            },
          ),
        ]),
    ...(design.type === 'none'
      ? stillWaterChecks(result)
      : [nitrogenSize(withMedia, nitrogenNow, nitrogenGrown, result)]),
    check(
      'tan-target',
      result.worstTanMgL <= target / CHECK_LIMITS.sizeTolerance ? 'pass' : 'stop',
      result.worstTanMgL,
      target,
    ),
    ...(pond.use === 'swimming' || pond.use === 'wildlife' ? [phosphorusCheck(context)] : []),
    ...(pond.use === 'swimming' && design.type !== 'none'
      ? [
          check(
            'regeneration',
            graded(
              result.areaM2 >= pond.areaM2 * CHECK_LIMITS.regenerationLeast,
              result.areaM2 >= pond.areaM2 * CHECK_LIMITS.regenerationStopBelow,
            ),
            result.areaM2 / pond.areaM2,
            CHECK_LIMITS.regenerationLeast,
          ),
        ]
      : []),
    ...(facts.alongShore
      ? [
          check(
            'fits-shore',
            design.lengthM <= pond.shoreM / CHECK_LIMITS.sizeTolerance ? 'pass' : 'stop',
            design.lengthM,
            pond.shoreM,
          ),
        ]
      : []),
    check(
      'type-suits',
      pond.volumeM3 >= facts.pondM3[0] && pond.volumeM3 <= facts.pondM3[1] ? 'pass' : 'look',
      pond.volumeM3,
      pond.volumeM3 > facts.pondM3[1] ? facts.pondM3[1] : facts.pondM3[0],
      { type: design.type, least: facts.pondM3[0], most: facts.pondM3[1] },
    ),
    ...(design.pumpId === null ? [] : flowChecks({ pond, result }, treated)),
    ...skimmerCheck({ design, pond, result }),
    ...(result.falls && design.falls
      ? [
          check(
            'falls-look',
            result.falls.look === 'curtain' || result.falls.look === 'full' ? 'pass' : 'look',
            result.falls.sheetM,
            result.demand.fallsM3PerH,
            { look: result.falls.look, width: design.falls.widthM },
          ),
        ]
      : []),
  ]
}

function skimmerCheck({ design, pond, result }: Pick<CheckContext, 'design' | 'pond' | 'result'>): Check[] {
  const loadings = mouthLoadings(design.train, result.flowM3PerH)
  if (loadings.length === 0) return []
  const { least, most } = SKIMMER_M3_PER_H_PER_M
  // the one that is furthest out of its range
  const worst = loadings.reduce((a, b) => (offRange(b) > offRange(a) ? b : a))
  const served = skimmedM2(design.train)
  return [
    check(
      'skimmer',
      offRange(worst) === 0 && served >= pond.areaM2 ? 'pass' : 'look',
      worst,
      worst > most ? most : least,
      { served, area: pond.areaM2 },
    ),
  ]
}

/** How far a loading of a mouth is out of its range, as a factor over it; 0 within. */
function offRange(m3PerHPerM: number): number {
  const { least, most } = SKIMMER_M3_PER_H_PER_M
  if (m3PerHPerM > most) return m3PerHPerM / most
  return m3PerHPerM < least ? least / Math.max(m3PerHPerM, 1e-9) : 0
}

const nitrogenSize = (withMedia: number, now: number, grown: number, result: CheckContext['result']): Check =>
  check(
    'nitrogen-size',
    withMedia < now * CHECK_LIMITS.sizeTolerance ? 'stop' : atLeast(withMedia, grown, 0),
    withMedia,
    grown,
    { now, tan: result.worstTanMgL, media: withMedia - result.areaM2 },
  )

/** Does the pump bring what is asked for, and not far more. */
function flowChecks({ pond, result }: Pick<CheckContext, 'pond' | 'result'>, treated: number): Check[] {
  const noFlow = result.duty.status === 'no-flow'
  const { demand, flowM3PerH } = result
  const enough = !noFlow && flowM3PerH >= demand.neededM3PerH * CHECK_LIMITS.sizeTolerance
  const surplus =
    flowM3PerH > demand.neededM3PerH * CHECK_LIMITS.surplusFactor && result.powerW > CHECK_LIMITS.powerBaseW
  return [
    check(
      'oxygen-flow',
      noFlow ? 'stop' : atLeast(treated, demand.oxygenM3PerH, CHECK_LIMITS.sizeStopBelow),
      treated,
      demand.oxygenM3PerH,
      { needed: demand.neededM3PerH, governedBy: demand.governedBy },
    ),
    check(
      'turnover',
      noFlow ? 'stop' : atLeast(flowM3PerH, demand.turnoverM3PerH, 0.5),
      flowM3PerH,
      demand.turnoverM3PerH,
      { hours: flowM3PerH > 0 ? pond.volumeM3 / flowM3PerH : Infinity },
    ),
    check('flow-needed', graded(enough && !surplus, enough), flowM3PerH, demand.neededM3PerH, {
      governedBy: demand.governedBy,
      surplus: surplus ? 'yes' : 'no',
    }),
  ]
}

/** What a pond that no bed keeps is judged by. */
function stillWaterChecks({ still }: CheckContext['result']): Check[] {
  const limits = STILL_WATER_LIMITS
  return [
    check(
      'stock-limit',
      graded(
        still.litresPerCm >= limits.litresPerCmLeast && still.kgPerM3 <= limits.kgPerM3Most,
        still.litresPerCm >= limits.litresPerCmStopBelow && still.kgPerM3 <= limits.kgPerM3Stop,
      ),
      still.litresPerCm,
      limits.litresPerCmLeast,
      { kgPerM3: still.kgPerM3, kgPerM3Most: limits.kgPerM3Most },
    ),
    check(
      'surface-to-volume',
      still.surfacePerVolume >= limits.surfacePerVolumeLeast ? 'pass' : 'look',
      still.surfacePerVolume,
      limits.surfacePerVolumeLeast,
    ),
  ]
}

/** Clear water without algae hangs on phosphorus; a swimming pond stops where it would bloom. */
function phosphorusCheck({ pond, result: { worstPhosphorusMgL }, rules }: CheckContext): Check {
  const { goodMgL, mostMgL } = rules.phosphorus
  const most = worstPhosphorusMgL <= mostMgL || pond.use !== 'swimming'
  return check('phosphorus', graded(worstPhosphorusMgL <= goodMgL, most), worstPhosphorusMgL, mostMgL, {
    good: goodMgL,
  })
}
