import { assertInRange } from '../errors'

/** What the fish live in on one day, mg/L, worst hour where one can hurt. */
export interface FishWater {
  readonly nh3: number
  readonly nitrite: number
  readonly oxygen: number
  readonly chlorine: number
  readonly saltMgL: number
}

interface Stressor {
  /** Where fish begin to suffer, and where half of them die within some days. */
  readonly from: number
  readonly lethal: number
}

/**
 * @source usual ranges for carp and goldfish (un-ionised ammonia and nitrite as N, little chloride; water quality
 * criteria, rounded)
 */
export const STRESSORS = {
  nh3: { from: 0.04, lethal: 1 },
  nitrite: { from: 0.5, lethal: 8 },
  // the least of the day lasts a few hours before dawn
  oxygen: { from: 3.4, lethal: 0.7 },
  chlorine: { from: 0.02, lethal: 0.3 },
} as const satisfies Record<string, Stressor>

/**
 * Chloride keeps nitrite out of the blood: salt that halves its harm, mg/L.
 * @source chloride to nitrite ratios used in fish keeping, rounded
 */
const SALT_HALVES_NITRITE_MGL = 300
/**
 * How a day of stress wears on fish, how fast they mend, and when they die.
 * @source house defaults for the trainer, wide range
 */
const WEAR_PER_DAY = 0.3
const MEND_PER_DAY = 0.03
const DEADLY_STRESS = 0.7
const WEAK = 0.4
const WEAK_DIE_PER_DAY = 0.08
const CALM = 0.03

/** All stressors of a day together, 0 (none) to 1 (what kills). */
export function stressOf(water: FishWater): number {
  const part = (value: number, { from, lethal }: Stressor) => Math.min(1, Math.max(0, (value - from) / (lethal - from)))
  const nitrite = water.nitrite / (1 + water.saltMgL / SALT_HALVES_NITRITE_MGL)
  const parts = [
    part(water.nh3, STRESSORS.nh3),
    part(nitrite, STRESSORS.nitrite),
    part(water.oxygen, STRESSORS.oxygen),
    part(water.chlorine, STRESSORS.chlorine),
  ]
  return 1 - parts.reduce((calm, p) => calm * (1 - p), 1)
}

export interface Shoal {
  /** 1: in full health. */
  readonly condition: number
  /** Fish alive; parts of a fish until a whole one is lost. */
  readonly alive: number
}

/** A shoal a day later. @throws {DomainError} a stress outside 0..1 */
export function shoalAfterDay({ condition, alive }: Shoal, stress: number): Shoal {
  assertInRange('stress', stress, [0, 1])
  const next = Math.min(1, Math.max(0, condition - WEAR_PER_DAY * stress + (stress < CALM ? MEND_PER_DAY : 0)))
  const struck = Math.max(0, stress - DEADLY_STRESS) / (1 - DEADLY_STRESS) / 2
  const faded = (WEAK_DIE_PER_DAY * Math.max(0, WEAK - next)) / WEAK
  return { condition: next, alive: alive * (1 - Math.min(1, struck + faded)) }
}
