import { FILTER_TYPE_FACTS } from '../types'
import { plantedDepthM } from '../design'
import { STABILITY_LIMIT } from '../bed/layers'
import { ROOT_ZONE } from '../bed/root-zone'
import { atMost, check, type Check, CHECK_LIMITS, type CheckContext, graded, type Verdict } from './check'

/** How the water goes through the stone. */
export function bedChecks({ design, result }: CheckContext): Check[] {
  if (design.type === 'none') return []
  const { path, usualDepthM } = FILTER_TYPE_FACTS[design.type]
  const worstPair = result.stability.reduce((worst, pair) => Math.max(worst, pair.ratio), 0)
  const planted = plantedDepthM(design)
  const rootVerdict: Verdict = graded(
    result.rootShare >= ROOT_ZONE.minShare && (path !== 'up' || planted >= CHECK_LIMITS.plantedDepthLeastM),
    result.rootShare >= ROOT_ZONE.stopBelow,
  )
  return [
    ...(path === 'over'
      ? []
      : [
          check(
            'upflow-velocity',
            atMost(
              result.velocityMPerH,
              path === 'up' ? CHECK_LIMITS.upflowLookAboveMPerH : ALONG_LOOK_M_PER_H,
              path === 'up' ? CHECK_LIMITS.upflowStopAboveMPerH : ALONG_STOP_M_PER_H,
            ),
            result.velocityMPerH,
            path === 'up' ? CHECK_LIMITS.upflowStopAboveMPerH : ALONG_STOP_M_PER_H,
            { path },
          ),
        ]),
    check('bed-depth', result.depthM <= usualDepthM * 1.05 ? 'pass' : 'look', result.depthM, usualDepthM, { path }),
    ...(path === 'over'
      ? []
      : [
          check(
            'bed-loss',
            atMost(result.cleanLossMm, CHECK_LIMITS.bedLossLookAboveMm, CHECK_LIMITS.bedLossStopAboveMm),
            result.cleanLossMm,
            CHECK_LIMITS.bedLossLookAboveMm,
            {
              atFlush: result.atFlushLossMm,
            },
          ),
        ]),
    check(
      'uniformity',
      graded(result.uniformity >= CHECK_LIMITS.uniformityLeast, result.uniformity >= CHECK_LIMITS.uniformityStopBelow),
      result.uniformity,
      CHECK_LIMITS.uniformityLeast,
      { feed: design.feed },
    ),
    check('root-zone', rootVerdict, result.rootShare, ROOT_ZONE.minShare, {
      planted,
      plantedLeast: CHECK_LIMITS.plantedDepthLeastM,
      path,
      feed: design.feed,
      depth: result.depthM,
    }),
    check('layer-stability', worstPair <= STABILITY_LIMIT ? 'pass' : 'stop', worstPair, STABILITY_LIMIT),
  ]
}

/** Along a shallow bed water may run faster than up through one: the way is long and level. @source house default */
const ALONG_LOOK_M_PER_H = 12
const ALONG_STOP_M_PER_H = 25
