import { assertInRange, assertPositive, DomainError } from '../errors'
import { frictionFactor, RIGID_PVC } from './pipe'
import { GRAVITY_M_PER_S2, kinematicViscosityM2PerS } from './water-properties'

export interface Manifold {
  readonly flowM3PerH: number
  readonly lengthM: number
  readonly diameterM: number
  readonly openings: number
  /** Open area of one slot or hole, m². */
  readonly openingAreaM2: number
  readonly roughnessM?: number
  /** Head at the far end where it is about known, m: solved from there. */
  readonly nearEndHeadM?: number
}

const DISCHARGE_COEFFICIENT = 0.62 // sharp-edged orifice, any hydraulics handbook
const MAX_OPENINGS = 5000
const CREEPING_M_PER_S = 1e-5
const MAX_PASSES = 40
const FLOW_TOLERANCE = 1e-7 // relative

/**
 * How evenly a slotted or drilled pipe closed at its far end feeds a bed.
 * Orifice flow C_d·A·√(2gh) at each opening, friction and recovery of velocity head along the pipe, solved for the
 * far-end head.
 * @returns least ÷ most opening flow (1 = even), heads at the inlet and at the far end, m, and open over pipe area
 * @source Manifold hydraulics as in Fair, Geyer & Okun; Darcy–Weisbach between openings
 */
export function manifoldUniformity(manifold: Manifold): {
  uniformity: number
  inletHeadM: number
  endHeadM: number
  openToPipeArea: number
} {
  const { flowM3PerH, lengthM, diameterM, openings, openingAreaM2, roughnessM = RIGID_PVC.roughnessM } = manifold
  assertPositive('flowM3PerH', flowM3PerH)
  assertPositive('lengthM', lengthM)
  assertPositive('diameterM', diameterM)
  assertPositive('openingAreaM2', openingAreaM2)
  assertInRange('openings', openings, [1, MAX_OPENINGS])
  if (!Number.isInteger(openings)) throw new DomainError('openings', openings, 'a whole number')
  const pipeAreaM2 = (Math.PI * diameterM ** 2) / 4
  const viscosity = kinematicViscosityM2PerS(20)
  const wanted = flowM3PerH / 3600
  // next to standing water: creeping flow leaves no head to speak of, and the root law below no longer holds
  if (wanted / pipeAreaM2 < CREEPING_M_PER_S)
    return { uniformity: 1, inletHeadM: 0, endHeadM: 0, openToPipeArea: (openings * openingAreaM2) / pipeAreaM2 }

  const run = (endHeadM: number) => {
    let head = endHeadM
    let flow = 0
    let min = Infinity
    let max = 0
    for (let i = 0; i < openings; i++) {
      const opening = DISCHARGE_COEFFICIENT * openingAreaM2 * Math.sqrt(2 * GRAVITY_M_PER_S2 * Math.max(0, head))
      min = Math.min(min, opening)
      max = Math.max(max, opening)
      const before = flow / pipeAreaM2
      flow += opening
      const velocity = flow / pipeAreaM2
      const f = frictionFactor((velocity * diameterM) / viscosity, roughnessM / diameterM)
      // upstream of an opening the water is faster, so its pressure is lower by the velocity head it later gives back
      head +=
        (f * (lengthM / openings / diameterM) * velocity ** 2) / (2 * GRAVITY_M_PER_S2) -
        (velocity ** 2 - before ** 2) / (2 * GRAVITY_M_PER_S2)
    }
    return { flow, head, endHeadM, least: min, most: max }
  }
  const near = manifold.nearEndHeadM ?? evenHeadM(wanted, openings, openingAreaM2)
  const { head, endHeadM, least: min, most: max } = solvedRun(run, wanted, near)
  return {
    uniformity: max > 0 ? min / max : 0,
    inletHeadM: head,
    endHeadM,
    openToPipeArea: (openings * openingAreaM2) / pipeAreaM2,
  }
}

/** Head that every opening would have if all gave the same, m. */
const evenHeadM = (wanted: number, openings: number, openingAreaM2: number): number =>
  (wanted / openings / (DISCHARGE_COEFFICIENT * openingAreaM2)) ** 2 / (2 * GRAVITY_M_PER_S2)

interface Run {
  readonly flow: number
  readonly head: number
  readonly endHeadM: number
  readonly least: number
  readonly most: number
}

/**
 * The run that carries a flow. Flow goes with the root of the head but for the slowly changing friction factor: the
 * power between the last two runs says how the head has to be scaled, which closes in within a few passes.
 */
function solvedRun(run: (endHeadM: number) => Run, wanted: number, nearEndHeadM: number): Run {
  let endHeadM = nearEndHeadM
  let found = run(endHeadM)
  let power = 2
  for (let pass = 0; pass < MAX_PASSES && Math.abs(wanted / found.flow - 1) >= FLOW_TOLERANCE; pass++) {
    const scale = (wanted / found.flow) ** power
    endHeadM *= scale
    const next = run(endHeadM)
    const step = Math.log(next.flow / found.flow)
    power = Math.abs(step) > FLOW_TOLERANCE ? Math.log(scale) / step : 2
    found = next
  }
  return found
}
