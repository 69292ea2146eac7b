import { FILTER_TYPE_FACTS } from '../types'
import { isSkimmer, SKIMMER_M3_PER_H_PER_M } from '../companions'
import type { SizingMethod } from '../house-rules'
import { atLeast, check, CHECK_LIMITS, type Check, type CheckContext } from './check'

/** Is it large enough, and does enough water go through it. */
// eslint-disable-next-line max-lines-per-function -- a list of checks
export function sizeAndFlowChecks({ design, pond, result, houseMethod, rules }: CheckContext): Check[] {
  const target = rules.targetTanMgL
  const area = (sizing: typeof result.now, sizingMethod: SizingMethod) =>
    sizing.sizingMethods.find((s) => s.sizingMethod === sizingMethod)!.areaM2
  const [nitrogenNow, nitrogenGrown] = [area(result.now, 'nitrogen'), area(result.grown, 'nitrogen')]
  const noFlow = result.duty.status === 'no-flow'
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
    check(
      'nitrogen-size',
      withMedia < nitrogenNow * CHECK_LIMITS.sizeTolerance ? 'stop' : atLeast(withMedia, nitrogenGrown, 0),
      withMedia,
      nitrogenGrown,
      {
        now: nitrogenNow,
        tan: result.worstTanMgL,
        media: withMedia - result.areaM2,
      },
    ),
    check(
      'tan-target',
      result.worstTanMgL <= target / CHECK_LIMITS.sizeTolerance ? 'pass' : 'stop',
      result.worstTanMgL,
      target,
    ),
    check(
      'type-suits',
      pond.volumeM3 >= facts.pondM3[0] && pond.volumeM3 <= facts.pondM3[1] ? 'pass' : 'look',
      pond.volumeM3,
      pond.volumeM3 > facts.pondM3[1] ? facts.pondM3[1] : facts.pondM3[0],
      { type: design.type, least: facts.pondM3[0], most: facts.pondM3[1] },
    ),
    check(
      'oxygen-flow',
      noFlow ? 'stop' : atLeast(treated, result.demand.oxygenM3PerH, CHECK_LIMITS.sizeStopBelow),
      treated,
      result.demand.oxygenM3PerH,
      {
        needed: result.demand.neededM3PerH,
        governedBy: result.demand.governedBy,
      },
    ),
    check(
      'turnover',
      noFlow ? 'stop' : atLeast(result.flowM3PerH, result.demand.turnoverM3PerH, 0.5),
      result.flowM3PerH,
      result.demand.turnoverM3PerH,
      {
        hours: result.flowM3PerH > 0 ? pond.volumeM3 / result.flowM3PerH : Infinity,
      },
    ),
    check(
      'flow-needed',
      !noFlow && result.flowM3PerH >= result.demand.neededM3PerH * CHECK_LIMITS.sizeTolerance ? 'pass' : 'stop',
      result.flowM3PerH,
      result.demand.neededM3PerH,
      { governedBy: result.demand.governedBy },
    ),
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
  const skimmers = design.companions.filter((c) => isSkimmer(c.kind))
  if (skimmers.length === 0) return []
  const mouthM = skimmers.reduce((sum, c) => sum + c.weirM, 0)
  const perM = mouthM > 0 ? result.flowM3PerH / mouthM : Infinity
  const { least: min, most: max } = SKIMMER_M3_PER_H_PER_M
  const serves = pond.areaM2 / skimmers.length
  return [
    check(
      'skimmer',
      perM >= min && perM <= max && serves <= CHECK_LIMITS.skimmerServesM2 ? 'pass' : 'look',
      perM,
      perM > max ? max : min,
      {
        serves,
        servesMost: CHECK_LIMITS.skimmerServesM2,
      },
    ),
  ]
}
