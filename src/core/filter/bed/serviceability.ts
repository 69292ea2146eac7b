import type { FilterDesign } from '../design-input'
import { FILTER_TYPE_FACTS } from '../types'

/**
 * What makes a filter easy to clean out, one point each.
 * @source trade practice: a filter that is hard to reach does not get cleaned
 */
const SERVICE_POINTS = ['cleanout', 'wide-enough', 'pitched', 'low-point', 'valve', 'discharge'] as const
type ServicePoint = (typeof SERVICE_POINTS)[number]

export const SERVICE_LIMITS = { vaultDiameterM: 0.3, pitchPercent: 1, dischargeM: 15 } as const

export interface Serviceability {
  readonly got: readonly ServicePoint[]
  readonly missing: readonly ServicePoint[]
  /** Points got over points there are for this type, 0..1. */
  readonly share: number
}

/**
 * Scores how well a filter can be cleaned out. Vessels have a bottom drain in place of a vault; pitch is asked of
 * upflow beds.
 */
export function serviceability({
  type,
  vault,
  manifold,
}: Pick<FilterDesign, 'type' | 'vault' | 'manifold'>): Serviceability {
  const { path, vessels } = FILTER_TYPE_FACTS[type]
  const asked = SERVICE_POINTS.filter((point) => {
    if (point === 'pitched') return path === 'up' && !vessels
    if (point === 'wide-enough') return !vessels
    return true
  })
  const has: Record<ServicePoint, boolean> = {
    cleanout: vault !== null,
    'wide-enough': vault !== null && vault.diameterM >= SERVICE_LIMITS.vaultDiameterM,
    pitched: manifold.pitchPercent >= SERVICE_LIMITS.pitchPercent,
    'low-point': vault !== null && vault.atLowPoint,
    valve: vault !== null && vault.valveInReach,
    discharge: vault !== null && vault.dischargeM <= SERVICE_LIMITS.dischargeM,
  }
  const got = asked.filter((point) => has[point])
  return { got, missing: asked.filter((point) => !has[point]), share: got.length / asked.length }
}
