import type { PracticeScenario } from '../scenario'
import { firstSeason } from './first-season'
import { neglected } from './neglected'
import { springRush } from './spring-rush'
import { winter } from './winter'

/** In the order they are offered: the gentlest first. */
export const PRACTICE_SCENARIOS = { neglected, 'first-season': firstSeason, 'spring-rush': springRush, winter } as const
export type ScenarioKey = keyof typeof PRACTICE_SCENARIOS
export const SCENARIO_KEYS = Object.keys(PRACTICE_SCENARIOS) as ScenarioKey[]

export const practiceScenario = (key: ScenarioKey): PracticeScenario => PRACTICE_SCENARIOS[key]
