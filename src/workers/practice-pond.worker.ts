import { expose } from 'comlink'
import { middle } from '../core/ecosystem/measures'
import { seededRandom } from '../core/numeric/random'
import { DEBRIEF_WAYS, morningsOf, otherYear, planBy, waysThrough, weekStories, type DebriefWay } from '../core/trainer/debrief'
import type { WeekChoice } from '../core/trainer/play'
import { practiceScenario, type ScenarioKey } from '../core/trainer/scenarios'
import { worldOf, type PracticeWorld } from '../core/trainer/world'

let kept: { readonly key: string; readonly world: PracticeWorld } | null = null

/** The world of a season, made once. */
function world(scenario: ScenarioKey, seed: number): PracticeWorld {
  const key = `${scenario}/${seed}`
  if (kept?.key !== key) kept = { key, world: worldOf(practiceScenario(scenario), seed) }
  return kept.world
}

const OTHER_YEARS_SEED = 4_242

/** The practice pond off the page's own thread. */
const api = {
  mornings(scenario: ScenarioKey, seed: number, choices: readonly WeekChoice[]) {
    return morningsOf(world(scenario, seed), choices)
  },

  /** What the foreman would do this morning. */
  advice(scenario: ScenarioKey, seed: number, choices: readonly WeekChoice[]) {
    const view = morningsOf(world(scenario, seed), choices)[choices.length]
    return planBy(practiceScenario(scenario).house.policy, view, choices)
  },

  debrief(scenario: ScenarioKey, seed: number, choices: readonly WeekChoice[]) {
    const played = world(scenario, seed)
    const ways = waysThrough(played, choices)
    return { from: played.from, ways, weeks: weekStories(played, ways.yours.result, ways.house.result) }
  },

  /** The same ways through other years, told of one by one; ends early when told not to go on. */
  async otherYears(scenario: ScenarioKey, choices: readonly WeekChoice[], years: number, onYear: (done: number) => Promise<boolean>) {
    const random = seededRandom(OTHER_YEARS_SEED)
    const seasons: ReturnType<typeof otherYear>[] = []
    do seasons.push(otherYear(practiceScenario(scenario), random, choices))
    while (seasons.length < years && (await onYear(seasons.length)))
    const of = (way: DebriefWay) => {
      const points = seasons.map((season) => season[way].score.points).sort((a, b) => a - b)
      return { middle: middle(points), least: points[0], most: points[points.length - 1], measures: seasons.map((season) => season[way].result.measures) }
    }
    return Object.fromEntries(DEBRIEF_WAYS.map((way) => [way, of(way)])) as Record<DebriefWay, ReturnType<typeof of>>
  },
}
export type PracticePondWorker = typeof api

expose(api)
