import type { ScenarioKey, TrainerScenario } from '../scenario'

export type { ScenarioKey } from '../scenario'
import { firstSeason } from './first-season'
import { heat } from './heat'
import { neglected } from './neglected'
import { outage } from './outage'
import { springRush } from './spring-rush'
import { winter } from './winter'

/** In the order they are offered: the gentlest first. */
export const TRAINER_SCENARIOS = {
  neglected,
  'first-season': firstSeason,
  'spring-rush': springRush,
  outage,
  heat,
  winter,
} as const
export const SCENARIO_KEYS = Object.keys(TRAINER_SCENARIOS) as ScenarioKey[]

export const trainerScenario = (key: ScenarioKey): TrainerScenario => TRAINER_SCENARIOS[key]
