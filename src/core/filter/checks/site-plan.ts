import { NEAR_BUILDING_M } from '../../site-plan/placed-design'
import { streamFallM, type Clash, type SitePlanResult } from '../../site-plan/evaluate-site-plan'
import { atLeast, check, graded, type Check, type CheckContext } from './check'

/** Limits that a place on site is held to. Local codes decide where they say more. */
export const SITE_LIMITS = {
  /** Supply and sockets from the water's edge. @source zone 1 around basins ends here (IEC 60364-7-702) */
  supplyFromWaterM: 2,
  /** Narrowest way for a small digger and for a barrow, m. @source house default */
  diggerM: 1,
  barrowM: 0.75,
  /** Further than this stone is moved by machine or not at all, m. */
  haulLookM: 40,
  /** A stream runs with at least this fall. @source house default */
  streamFallShare: 0.01,
  /** The ground may fall this much from end to end of a bed before its low side wants a wall, m. */
  slopeLookM: 0.15,
  /** The design's own figures may differ from its plan's by survey and rounding. */
  planToleranceM: 0.02,
} as const

/** Clashes that nobody builds; others can be borne with care. */
const stops = ({ part, with: other, apartM }: Clash): boolean => {
  if (other === 'service') return part === 'bed'
  if (other === 'tree') return part === 'bed' && apartM === 0
  return other !== 'fence'
}

/** Where the parts of a design stand: what is in their way, levels, machines, electricity, skimmers. */
export function sitePlanChecks(context: CheckContext): Check[] {
  const { design, result } = context
  const plan = result.sitePlan
  if (!plan) return []
  return [
    clashCheck(plan),
    ...levelChecks(context, plan),
    ...(plan.narrowestAccessM === null || design.type === 'none'
      ? []
      : [
          check(
            'site-access',
            graded(
              plan.narrowestAccessM >= SITE_LIMITS.diggerM && (plan.haulM ?? 0) <= SITE_LIMITS.haulLookM,
              plan.narrowestAccessM >= SITE_LIMITS.barrowM,
            ),
            plan.narrowestAccessM,
            SITE_LIMITS.diggerM,
            { haul: plan.haulM ?? 0, barrow: SITE_LIMITS.barrowM, spoil: plan.earthworks.spoilM3 },
          ),
        ]),
    ...(plan.supplyFromWaterM === null || design.pumpId === null
      ? []
      : [
          check(
            'site-supply',
            plan.supplyFromWaterM >= SITE_LIMITS.supplyFromWaterM ? 'pass' : 'look',
            plan.supplyFromWaterM,
            SITE_LIMITS.supplyFromWaterM,
            { cable: plan.cableM ?? 0 },
          ),
        ]),
    ...(plan.windwardSkimmers === null || design.layout!.skimmers.length === 0
      ? []
      : [check('site-skimmers', plan.windwardSkimmers === 0 ? 'pass' : 'look', plan.windwardSkimmers, 0)]),
  ]
}

function clashCheck({ clashes }: SitePlanResult): Check {
  const worst = [...clashes].sort((a, b) => Number(stops(b)) - Number(stops(a)) || a.apartM - b.apartM)[0]
  if (!worst) return check('site-clearances', 'pass', 0, 0, { clashes: 0, near: NEAR_BUILDING_M })
  return check('site-clearances', stops(worst) ? 'stop' : 'look', worst.apartM, worst.neededM, {
    clashes: clashes.length,
    part: worst.part,
    other: worst.with,
  })
}

function levelChecks({ design }: CheckContext, plan: SitePlanResult): Check[] {
  const { bedWaterByGroundM: byGroundM, slopeAcrossBedM, stream } = plan
  return [
    ...(byGroundM === null
      ? []
      : [
          check(
            'site-levels',
            graded(
              byGroundM >= 0 &&
                Math.abs(byGroundM - design.staticLiftM) <= SITE_LIMITS.planToleranceM &&
                (slopeAcrossBedM ?? 0) <= SITE_LIMITS.slopeLookM,
              byGroundM >= 0,
            ),
            byGroundM,
            design.staticLiftM,
            { slope: slopeAcrossBedM ?? 0, ground: plan.groundM ?? 0 },
          ),
        ]),
    ...(stream
      ? [
          check(
            'site-stream',
            atLeast(streamFallM(design, stream), stream.lengthM * SITE_LIMITS.streamFallShare, 0.1),
            streamFallM(design, stream),
            stream.lengthM * SITE_LIMITS.streamFallShare,
            { length: stream.lengthM, drops: stream.dropM, lift: design.staticLiftM, volume: stream.volumeM3 },
          ),
        ]
      : []),
  ]
}
