import { AMMONIA_BANDS, unionisedAmmonia } from '../water/ammonia'
import type { ReadingKindName } from '../water/readings'

/** Limits for fish going back. @source house defaults */
export const FISH_BACK_LIMITS = {
  freeChlorineMgL: 0.02,
  temperatureStepC: 3,
  handlingC: [4, 24],
  oxygenMgL: 5,
  nitriteMgL: 0.5,
} as const

export type FishBackReason =
  | { code: 'not-tested'; missing: readonly ReadingKindName[] }
  | { code: 'ammonia'; nh3MgL: number; limitMgL: number }
  | { code: 'nitrite'; mgL: number; limitMgL: number }
  | { code: 'oxygen'; mgL: number; leastMgL: number }
  | { code: 'chlorine'; mgL: number; limitMgL: number }
  | { code: 'temperature-step'; differenceC: number; limitC: number }
  | { code: 'too-cold-or-hot'; waterC: number; range: readonly [number, number] }

export type FishBackOutcome =
  { status: 'safe'; nh3MgL: number } | { status: 'stop'; reasons: readonly FishBackReason[] }

/** Tests after the refill, all of which must be there. */
export const FISH_BACK_READINGS = [
  'waterTemp',
  'tankTemp',
  'ph',
  'tan',
  'nitrite',
  'dissolvedOxygen',
  'freeChlorine',
] as const satisfies readonly ReadingKindName[]
export type FishBackReadings = Partial<Record<(typeof FISH_BACK_READINGS)[number], number>>

/**
 * Whether fish may go back into a refilled pond.
 * @param test readings taken after the refill; older ones must not be passed in
 * @returns safe, or every reason to wait
 */
export function fishBackGate(test: FishBackReadings): FishBackOutcome {
  const missing = FISH_BACK_READINGS.filter((kind) => test[kind] === undefined)
  if (missing.length > 0) return { status: 'stop', reasons: [{ code: 'not-tested', missing }] }
  const { waterTemp, tankTemp, ph, tan, nitrite, dissolvedOxygen, freeChlorine } = test as Required<FishBackReadings>
  const { nh3MgL } = unionisedAmmonia(tan, ph, waterTemp)
  const reasons: FishBackReason[] = []
  if (nh3MgL > AMMONIA_BANDS.actAboveMgL) reasons.push({ code: 'ammonia', nh3MgL, limitMgL: AMMONIA_BANDS.actAboveMgL })
  if (nitrite > FISH_BACK_LIMITS.nitriteMgL)
    reasons.push({ code: 'nitrite', mgL: nitrite, limitMgL: FISH_BACK_LIMITS.nitriteMgL })
  if (dissolvedOxygen < FISH_BACK_LIMITS.oxygenMgL)
    reasons.push({ code: 'oxygen', mgL: dissolvedOxygen, leastMgL: FISH_BACK_LIMITS.oxygenMgL })
  if (freeChlorine > FISH_BACK_LIMITS.freeChlorineMgL)
    reasons.push({ code: 'chlorine', mgL: freeChlorine, limitMgL: FISH_BACK_LIMITS.freeChlorineMgL })
  const differenceC = Math.abs(waterTemp - tankTemp)
  if (differenceC > FISH_BACK_LIMITS.temperatureStepC)
    reasons.push({ code: 'temperature-step', differenceC, limitC: FISH_BACK_LIMITS.temperatureStepC })
  const [coldest, hottest] = FISH_BACK_LIMITS.handlingC
  if (waterTemp < coldest || waterTemp > hottest)
    reasons.push({ code: 'too-cold-or-hot', waterC: waterTemp, range: FISH_BACK_LIMITS.handlingC })
  return reasons.length > 0 ? { status: 'stop', reasons } : { status: 'safe', nh3MgL }
}
