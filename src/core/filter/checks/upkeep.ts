import { FILTER_TYPE_FACTS } from '../types'
import { linerForBed } from '../bed/liner'
import { SERVICE_LIMITS } from '../bed/serviceability'
import { ENGINEER_ABOVE_M } from '../bed/structure'
import { trenchDepthM } from '../bed/bed-geometry'
import { atMost, check, type Check, CHECK_LIMITS, type CheckContext, graded, type Verdict } from './check'

/** Can it be cleaned, what carries it, what keeps it tight. */
// eslint-disable-next-line max-lines-per-function -- a list of checks
export function upkeepChecks(context: CheckContext): Check[] {
  const { design, result } = context
  if (design.type === 'none') return []
  const { path, vessels, lined } = FILTER_TYPE_FACTS[design.type]
  const { vault, manifold } = design
  const vaultFine =
    vault !== null &&
    vault.atLowPoint &&
    (vessels ||
      (vault.diameterM >= SERVICE_LIMITS.vaultDiameterM &&
        (path !== 'up' || manifold.pitchPercent >= SERVICE_LIMITS.pitchPercent)))
  const needsEngineer = design.raisedM > ENGINEER_ABOVE_M || design.stand !== 'ground'
  const liner = linerForBed(design)
  const trenchM = trenchDepthM(design)
  const drainKind = () => {
    if (vessels) return 'drain'
    if (vault) return 'vault'
    return 'none'
  }
  return [
    check('vault', graded(vaultFine, vault !== null), vault?.diameterM ?? 0, SERVICE_LIMITS.vaultDiameterM, {
      pitch: manifold.pitchPercent,
      low: vault?.atLowPoint ? 'yes' : 'no',
      kind: drainKind(),
    }),
    ...(trenchM > 0
      ? [
          check(
            'trench',
            atMost(trenchM, CHECK_LIMITS.trenchLookM, CHECK_LIMITS.trenchStopM),
            trenchM,
            CHECK_LIMITS.trenchLookM,
            {
              pitch: manifold.pitchPercent,
            },
          ),
        ]
      : []),
    check(
      'flush-interval',
      graded(result.flushDays >= CHECK_LIMITS.flushDaysLeast, result.flushDays >= CHECK_LIMITS.flushDaysStop),
      result.flushDays,
      CHECK_LIMITS.flushDaysLeast,
    ),
    check(
      'serviceability',
      graded(result.service.share >= CHECK_LIMITS.serviceLeast, result.service.share >= CHECK_LIMITS.serviceStopBelow),
      result.service.got.length,
      result.service.got.length + result.service.missing.length,
      { missing: result.service.missing.join(' ') },
    ),
    check(
      'wall-loads',
      needsEngineer ? confirmed(context, 'engineer', design.stand === 'slab-or-roof' ? 'stop' : 'look') : 'pass',
      design.raisedM,
      ENGINEER_ABOVE_M,
      {
        thrust: result.thrustKnPerM,
        floor: result.weights.floorKnPerM2,
        stand: design.stand,
      },
    ),
    ...(lined
      ? [
          check(
            'liner',
            Math.min(liner.lengthM, liner.widthM) <= CHECK_LIMITS.widestRollM ? 'pass' : 'look',
            Math.min(liner.lengthM, liner.widthM),
            CHECK_LIMITS.widestRollM,
            { length: liner.lengthM, width: liner.widthM },
          ),
        ]
      : []),
  ]
}

export const confirmed = (
  { design }: CheckContext,
  what: CheckContext['design']['confirmed'][number],
  otherwise: Verdict,
): Verdict => (design.confirmed.includes(what) ? 'pass' : otherwise)
