import { expose } from 'comlink'
import { middle } from '../core/ecosystem/measures'
import { seededRandom } from '../core/numeric/random'
import {
  DEBRIEF_OPTIONS,
  morningsOf,
  otherYear,
  planBy,
  waysThrough,
  weekStories,
  type DebriefOption,
} from '../core/trainer/debrief'
import type { WeekChoice } from '../core/trainer/play'
import { trainerScenario, type ScenarioKey } from '../core/trainer/scenarios'
import { worldOf, type TrainingWorld } from '../core/trainer/world'
import { recordOf } from '../core/numeric/record-of'

let kept: { readonly key: string; readonly world: TrainingWorld } | null = null

/** The world of a season, made once. */
function world(scenario: ScenarioKey, seed: number): TrainingWorld {
  const key = `${scenario}/${seed}`
  if (kept?.key !== key) kept = { key, world: worldOf(trainerScenario(scenario), seed) }
  return kept.world
}

const OTHER_YEARS_SEED = 4_242

/** The training pond off the page's own thread. */
const api = {
  mornings(scenario: ScenarioKey, seed: number, choices: readonly WeekChoice[]) {
    return morningsOf(world(scenario, seed), choices)
  },

  /** What the foreman would do this morning. */
  advice(scenario: ScenarioKey, seed: number, choices: readonly WeekChoice[]) {
    const view = morningsOf(world(scenario, seed), choices)[choices.length]!
    return planBy(trainerScenario(scenario).house.policy, view, choices)
  },

  debrief(scenario: ScenarioKey, seed: number, choices: readonly WeekChoice[]) {
    const played = world(scenario, seed)
    const options = waysThrough(played, choices)
    return { from: played.from, options, weeks: weekStories(played, options.yours.result, options.house.result) }
  },

  /** The same ways through other years, told of one by one; ends early when told not to go on. */
  async otherYears(
    scenario: ScenarioKey,
    choices: readonly WeekChoice[],
    years: number,
    onYear: (done: number) => Promise<boolean>,
  ) {
    const random = seededRandom(OTHER_YEARS_SEED)
    const seasons: ReturnType<typeof otherYear>[] = []
    do seasons.push(otherYear(trainerScenario(scenario), random, choices))
    while (seasons.length < years && (await onYear(seasons.length)))
    const of = (way: DebriefOption) => {
      const points = seasons.map((season) => season[way].score.points)
      const sorted = points.toSorted((a, b) => a - b)
      return {
        /** By year. */
        points,
        middle: middle(points),
        least: sorted[0]!,
        most: sorted.at(-1)!,
        measures: seasons.map((season) => season[way].result.measures),
      }
    }
    return recordOf(DEBRIEF_OPTIONS, of)
  },
}
export type TrainerWorker = typeof api

expose(api)
