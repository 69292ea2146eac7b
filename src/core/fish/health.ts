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
  /** 2: hardly felt at first and steep toward the end. */
  readonly power?: number
}

/**
 * @source usual ranges for carp and goldfish (un-ionised ammonia and nitrite as N, little chloride; water quality
 * criteria, rounded)
 */
export const STRESSORS = {
  nh3: { from: 0.04, lethal: 1 },
  nitrite: { from: 0.5, lethal: 8 },
  // the least of the day lasts a few hours before dawn
  oxygen: { from: 3.4, lethal: 1, power: 2 },
  chlorine: { from: 0.02, lethal: 0.3 },
} as const satisfies Record<string, Stressor>

/**
 * Chloride keeps nitrite out of the blood: salt that halves its harm, mg/L.
 * @source chloride to nitrite ratios used in fish keeping, rounded
 */
const SALT_HALVES_NITRITE_MGL = 300
/**
 * How a day of stress wears on fish, how fast they mend, and when they die.
 * @source house defaults, wide range
 */
const WEAR_PER_DAY = 0.3
const MEND_PER_DAY = 0.06
const DEADLY_STRESS = 0.7
const WEAK = 0.4
const WEAK_DIE_PER_DAY = 0.08

/** Nitrite as it hurts in salted water, mg/L. */
const felt = (nitrite: number, saltMgL: number): number => nitrite / (1 + saltMgL / SALT_HALVES_NITRITE_MGL)

/** All stressors of a day together, 0 (none) to 1 (what kills). */
export function stressOf(water: FishWater): number {
  const part = (value: number, { from, lethal, power = 1 }: Stressor) =>
    Math.min(1, Math.max(0, (value - from) / (lethal - from))) ** power
  const parts = [
    part(water.nh3, STRESSORS.nh3),
    part(felt(water.nitrite, water.saltMgL), STRESSORS.nitrite),
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

/**
 * A shoal a day later: stress wears on it and rest mends it, so that fish get used to a little and not to much.
 * @throws {DomainError} a stress outside 0..1
 */
export function shoalAfterDay({ condition, alive }: Shoal, stress: number): Shoal {
  assertInRange('stress', stress, [0, 1])
  const next = Math.min(1, Math.max(0, condition - WEAR_PER_DAY * stress + MEND_PER_DAY * (1 - condition)))
  const struck = Math.max(0, stress - DEADLY_STRESS) / (1 - DEADLY_STRESS) / 2
  const faded = (WEAK_DIE_PER_DAY * Math.max(0, WEAK - next)) / WEAK
  return { condition: next, alive: alive * (1 - Math.min(1, struck + faded)) }
}

/**
 * Where fish leave their food: from the first figure on they eat less, at the second nothing.
 * @source fish keeping; feeding of carps under low oxygen, ammonia and nitrite, rounded
 */
const LEAVES_FOOD = {
  oxygen: [4.5, 3],
  nh3: [0.1, 0.2],
  nitrite: [1, 2],
  tempC: [30, 33],
} as const

/** Share of their usual meal that fish take in a water, 0..1. */
export function takesOfMeal(water: FishWater & { readonly tempC: number }): number {
  const part = (value: number, [less, none]: readonly [number, number]) =>
    Math.min(1, Math.max(0, (none - value) / (none - less)))
  return Math.min(
    part(water.oxygen, LEAVES_FOOD.oxygen),
    part(water.nh3, LEAVES_FOOD.nh3),
    part(felt(water.nitrite, water.saltMgL), LEAVES_FOOD.nitrite),
    part(water.tempC, LEAVES_FOOD.tempC),
  )
}
