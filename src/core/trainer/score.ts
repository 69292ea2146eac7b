import { CLEAR_M } from '../ecosystem/measures'
import { SHOWN_OUTPUTS, type ShownOutput } from '../ecosystem/comparison/comparison'
import { costOf, minutesOf, type PlayResult } from './play'
import type { TrainerScenario } from './scenario'

/** What a season is judged by. */
export const SCORE_PARTS = ['fish', 'safe', 'clear', 'clearOn', 'clean', 'fed', 'thrift'] as const
export type ScorePart = (typeof SCORE_PARTS)[number]

export interface Score {
  /** Points of each part that counts, whole. */
  readonly parts: Readonly<Partial<Record<ScorePart, number>>>
  /** Points taken off for questions to the foreman. */
  readonly askedOff: number
  /** 0..100. */
  readonly points: number
  /** 0 to 3. */
  readonly stars: number
  readonly minutes: number
  readonly cost: number
}

/** @source house defaults of the trainer */
const STARS_FROM = [50, 70, 85] as const
const OFF_PER_QUESTION = 2
/** What a visit's minute is worth beside materials, whole money. */
const MONEY_PER_MINUTE = 1
/** A season of so many times the house's effort earns nothing for thrift; none at all earns all of it. */
const SPENT_MOST = 3
/** A floor with so many times what the house leaves on it earns nothing. */
const DIRTY_MOST = 2.5
/** String algae that spoil the look altogether, g dry/m². */
const OVERGROWN_GM2 = 100
const FULL_FED = 0.9

const dayValues = ({ daily, days }: PlayResult, output: ShownOutput): Float32Array => {
  const at = SHOWN_OUTPUTS.indexOf(output) * days
  return daily.subarray(at, at + days)
}

const effortOf = (result: PlayResult): { minutes: number; cost: number } => ({
  minutes: result.choices.reduce((sum, choice) => sum + minutesOf(choice), 0),
  cost: result.choices.reduce((sum, choice) => sum + costOf(choice), 0),
})

/**
 * @param house the house's way through the same year
 * @param fish how the fish fared, 0..1: of this year alone, or what is to be expected over several
 */
export function scoreOf(
  scenario: TrainerScenario,
  result: PlayResult,
  house: PlayResult,
  fish = fishPart(result),
): Score {
  const { minutes, cost } = effortOf(result)
  const of: Record<ScorePart, () => number> = {
    fish: () => fish,
    safe: () => 1 - result.measures.harmDays / result.days,
    clear: () => 1 - murkyShare(result),
    clearOn: () =>
      scenario.clearOn
        ? Math.min(1, dayValues(result, 'clarityM')[Math.min(scenario.clearOn.day, result.days - 1)]! / CLEAR_M)
        : 0,
    clean: () => cleanPart(result, house),
    // neither counts for fish that are gone
    fed: () => fedPart(result) * keptShare(result),
    thrift: () => keptShare(result) * (1 - effortSum(result) / (SPENT_MOST * Math.max(1, effortSum(house)))),
  }
  const parts: Partial<Record<ScorePart, number>> = {}
  let points = 0
  for (const part of SCORE_PARTS) {
    const weight = scenario.weights[part]
    if (weight === undefined) continue
    parts[part] = Math.round(weight * Math.min(1, Math.max(0, of[part]())))
    points += parts[part]
  }
  const askedOff = OFF_PER_QUESTION * result.choices.filter((c) => c.asked).length
  const total = Math.max(0, points - askedOff)
  return { parts, askedOff, points: total, stars: STARS_FROM.filter((from) => total >= from).length, minutes, cost }
}

const effortSum = (result: PlayResult): number => {
  const { minutes, cost } = effortOf(result)
  return minutes * MONEY_PER_MINUTE + cost
}

/** Losing fish weighs more than the number lost; health counts beside. */
export function fishPart(result: PlayResult): number {
  const health = result.condition.reduce((a, b) => a + b, 0) / result.condition.length
  return keptShare(result) ** 2 * (0.5 + 0.5 * health)
}

const keptShare = ({ alive, fishAtStart }: PlayResult): number => Math.round(alive[alive.length - 1]!) / fishAtStart

/** What is left on the floor against what the house leaves, and how overgrown the pond is. */
function cleanPart(result: PlayResult, house: PlayResult): number {
  const floor = Math.max(0, 1 - Math.max(0, result.floorGM2 / Math.max(1, house.floorGM2) - 1) / (DIRTY_MOST - 1))
  return 0.6 * floor + 0.4 * Math.max(0, 1 - result.stringAlgaeGM2 / OVERGROWN_GM2)
}

/** Days on which the water is murkier than what calls for watching, weighed by how murky it is. */
function murkyShare(result: PlayResult): number {
  const clarity = dayValues(result, 'clarityM')
  return clarity.reduce((sum, m) => sum + Math.max(0, 1 - m / CLEAR_M), 0) / result.days
}

/** Weeks in which the fish could eat, and how far they were fed. */
function fedPart({ fed }: PlayResult): number {
  const ate = fed.filter((share) => !Number.isNaN(share))
  return ate.length === 0 ? 1 : ate.reduce((sum, share) => sum + Math.min(1, share / FULL_FED), 0) / ate.length
}
