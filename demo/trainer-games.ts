import { playBy } from '../src/core/trainer/debrief'
import { trainerScenario, type ScenarioKey } from '../src/core/trainer/scenarios'
import type { Policy } from '../src/core/trainer/scenario'
import { worldOf } from '../src/core/trainer/world'
import type { Actor } from '../src/server/platform/auth/actor'
import { keepWeeks, startTrainerGame } from '../src/server/trainer/trainer-games'
import { PEOPLE } from './people'

/** How a made-up player plays: as the house, as what tempts, or as the house in most weeks. */
type Habit = 'house' | 'temptation' | 'skips-weeks'

const SEASONS: readonly {
  readonly player: string
  readonly scenario: ScenarioKey
  readonly seed: number
  readonly habit: Habit
}[] = [
  { player: 'Hale Underbrook', scenario: 'first-season', seed: 311, habit: 'house' },
  { player: 'Tamsy Weir', scenario: 'neglected', seed: 87, habit: 'skips-weeks' },
  { player: 'Tamsy Weir', scenario: 'winter', seed: 402, habit: 'house' },
  { player: 'Perrin Slade', scenario: 'neglected', seed: 190, habit: 'temptation' },
]
const SKIPPED_EVERY = 3

/** Seasons that the crews have played on the training pond. */
export async function playTrainer(actorOf: (email: string) => Promise<Actor>): Promise<void> {
  for (const { player, scenario, seed, habit } of SEASONS) {
    const actor = await actorOf(PEOPLE.find((p) => p.name === player)!.email)
    const { id } = await startTrainerGame(actor, { scenario, seed })
    await keepWeeks(actor, id, playBy(worldOf(trainerScenario(scenario), seed), policyOf(scenario, habit)).choices)
  }
}

function policyOf(scenario: ScenarioKey, habit: Habit): Policy {
  const { house, temptation } = trainerScenario(scenario)
  if (habit !== 'skips-weeks') return habit === 'house' ? house.policy : temptation.policy
  return (view, test, past) =>
    view.week % SKIPPED_EVERY === SKIPPED_EVERY - 1 ? { tasks: [], why: null } : house.policy(view, test, past)
}
