import { assertInRange } from '../errors'
import { GRAVITY_M_PER_S2, kinematicViscosityM2PerS, WATER_TEMPERATURE_RANGE } from './water-properties'

export interface PipeRun {
  readonly flowM3PerH: number
  readonly lengthM: number
  /** Inside diameter. */
  readonly diameterM: number
  /** Wall roughness, m; default rigid PVC. */
  readonly roughnessM?: number
  /** Hazen–Williams coefficient; default rigid PVC. */
  readonly hazenC?: number
  /** Sum of the fittings' K values. */
  readonly fittingsK?: number
  readonly tempC?: number
}

export interface PipeLoss {
  readonly darcyM: number
  readonly hazenM: number
  readonly minorM: number
  readonly velocityMPerS: number
  readonly reynolds: number
}

export const PIPE_RANGE = {
  flowM3PerH: [0, 5000],
  lengthM: [0, 10_000],
  diameterM: [0.004, 2],
  roughnessM: [0, 0.01],
  hazenC: [40, 160],
  fittingsK: [0, 1000],
} as const

export const RIGID_PVC = { roughnessM: 1.5e-6, hazenC: 150 } as const // ε 0.0015 mm, as in any pipe-flow table
export const FLEXIBLE_PVC = { roughnessM: 7e-6, hazenC: 140 } as const

const LAMINAR_BELOW = 2000
const TURBULENT_ABOVE = 4000

function swameeJain(reynolds: number, relativeRoughness: number): number {
  return 0.25 / Math.log10(relativeRoughness / 3.7 + 5.74 / reynolds ** 0.9) ** 2
}

/**
 * Darcy friction factor.
 * Laminar 64/Re below 2000, Swamee–Jain above 4000, straight between the two where flow is unsettled.
 * @source Swamee & Jain 1976
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  if (reynolds <= 0) return 0
  if (reynolds <= LAMINAR_BELOW) return 64 / reynolds
  if (reynolds >= TURBULENT_ABOVE) return swameeJain(reynolds, relativeRoughness)
  const share = (reynolds - LAMINAR_BELOW) / (TURBULENT_ABOVE - LAMINAR_BELOW)
  return (1 - share) * (64 / LAMINAR_BELOW) + share * swameeJain(TURBULENT_ABOVE, relativeRoughness)
}

/**
 * Head lost in a full pipe, m of water: friction by Darcy–Weisbach, the trade's Hazen–Williams beside it, and fittings.
 * @throws {DomainError} a figure outside PIPE_RANGE
 * @source Darcy–Weisbach with Swamee & Jain 1976; Hazen–Williams h = 10.67 L Q^1.852/(C^1.852 D^4.8704)
 */
export function pipeLoss(run: PipeRun): PipeLoss {
  const {
    flowM3PerH,
    lengthM,
    diameterM,
    roughnessM = RIGID_PVC.roughnessM,
    hazenC = RIGID_PVC.hazenC,
    fittingsK = 0,
    tempC = 20,
  } = run
  assertInRange('flowM3PerH', flowM3PerH, PIPE_RANGE.flowM3PerH)
  assertInRange('lengthM', lengthM, PIPE_RANGE.lengthM)
  assertInRange('diameterM', diameterM, PIPE_RANGE.diameterM)
  assertInRange('roughnessM', roughnessM, PIPE_RANGE.roughnessM)
  assertInRange('hazenC', hazenC, PIPE_RANGE.hazenC)
  assertInRange('fittingsK', fittingsK, PIPE_RANGE.fittingsK)
  assertInRange('tempC', tempC, WATER_TEMPERATURE_RANGE)
  const flowM3PerS = flowM3PerH / 3600
  const velocityMPerS = flowM3PerS / ((Math.PI * diameterM ** 2) / 4)
  const reynolds = (velocityMPerS * diameterM) / kinematicViscosityM2PerS(tempC)
  const velocityHeadM = velocityMPerS ** 2 / (2 * GRAVITY_M_PER_S2)
  return {
    darcyM: frictionFactor(reynolds, roughnessM / diameterM) * (lengthM / diameterM) * velocityHeadM,
    hazenM: (10.67 * lengthM * flowM3PerS ** 1.852) / (hazenC ** 1.852 * diameterM ** 4.8704),
    minorM: fittingsK * velocityHeadM,
    velocityMPerS,
    reynolds,
  }
}
