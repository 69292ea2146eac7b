import { assertInRange } from '../errors'
import { frictionFactor, PIPE_RANGE, RIGID_PVC } from './pipe'
import { GRAVITY_M_PER_S2, kinematicViscosityM2PerS } from './water-properties'

export interface GravityOutlet {
  readonly diameterM: number
  /** Drop of the water level from inlet to outlet, m. */
  readonly headM: number
  readonly lengthM: number
  /** Entrance and fittings; the exit velocity head is added. */
  readonly fittingsK: number
  readonly roughnessM?: number
  readonly tempC?: number
}

export const OUTLET_RANGE = { headM: [0, 10] } as const

const ITERATION_LIMIT = 60
const FLOW_TOLERANCE = 1e-12 // relative change of velocity between passes

/**
 * Full-bore flow of a gravity return, m³/h: A √(2gh / (1 + ΣK + fL/D)).
 * The friction factor depends on the flow, so it is found by repeated substitution.
 * @returns flow, m³/h; 0 when headM is 0
 * @throws {DomainError} a figure out of range
 * @source Energy equation; Swamee & Jain 1976 for f
 */
export function outletFlowM3PerH(outlet: GravityOutlet): number {
  const { diameterM, headM, lengthM, fittingsK, roughnessM = RIGID_PVC.roughnessM, tempC = 20 } = outlet
  assertInRange('diameterM', diameterM, PIPE_RANGE.diameterM)
  assertInRange('headM', headM, OUTLET_RANGE.headM)
  assertInRange('lengthM', lengthM, PIPE_RANGE.lengthM)
  assertInRange('fittingsK', fittingsK, PIPE_RANGE.fittingsK)
  assertInRange('roughnessM', roughnessM, PIPE_RANGE.roughnessM)
  if (headM === 0) return 0
  const viscosity = kinematicViscosityM2PerS(tempC)
  const areaM2 = (Math.PI * diameterM ** 2) / 4
  let velocity = Math.sqrt((2 * GRAVITY_M_PER_S2 * headM) / (1 + fittingsK))
  for (let pass = 0; pass < ITERATION_LIMIT; pass++) {
    const f = frictionFactor((velocity * diameterM) / viscosity, roughnessM / diameterM)
    const next = Math.sqrt((2 * GRAVITY_M_PER_S2 * headM) / (1 + fittingsK + (f * lengthM) / diameterM))
    const settled = Math.abs(next - velocity) <= FLOW_TOLERANCE * next
    velocity = next
    if (settled) break
  }
  return areaM2 * velocity * 3600
}
