import { calculate } from '@/calc/registry'
import type { Comparison } from '@/core/ecosystem/comparison/comparison'
import { freezeComparison } from '@/core/ecosystem/comparison/frozen-comparison'
import { DomainError } from '@/core/errors'
import { playChoices, seasonScore } from '@/core/trainer/debrief'
import type { WeekChoice } from '@/core/trainer/play'
import { trainerScenario, type ScenarioKey } from '@/core/trainer/scenarios'
import { worldOf } from '@/core/trainer/world'
import { readWeatherCsv } from '@/domain/season/weather-csv'
import { readBusyTimes } from '@/domain/rounds/busy-times'
import { firmTexts } from '@/messages/texts'

/** Seconds that a calculation on a clock gets over HTTP: it ends well before its deadline. */
const CLOCK_S = 2

/** A calculation that runs for so many seconds unless it is told otherwise. */
const ON_A_CLOCK = ['route.vrptw']

async function calculateInTime(name: string, input: unknown): ReturnType<typeof calculate> {
  const given = input !== null && typeof input === 'object' && !Array.isArray(input) ? input : null
  if (given && 'seconds' in given) {
    const message = firmTexts()('kit.problems.calcSeconds', { most: CLOCK_S })
    return { ok: false, error: { code: 'bad-input', message, path: 'seconds' } }
  }
  return calculate(name, given && ON_A_CLOCK.includes(name) ? { ...given, seconds: CLOCK_S } : input)
}

/**
 * Plays the weeks of a season as they were chosen.
 * @returns whether they can be played so, and the score of a finished season
 */
function playSeason(scenarioKey: ScenarioKey, seed: number, choices: readonly WeekChoice[]) {
  const scenario = trainerScenario(scenarioKey)
  try {
    if (choices.length === scenario.weeks) return { playable: true, score: seasonScore(scenario, seed, choices) }
    playChoices(worldOf(scenario, seed), choices)
    return { playable: true, score: null }
  } catch (error) {
    if (error instanceof DomainError) return { playable: false, score: null }
    throw error
  }
}

/** What is computed or read from outside for a request, by kind: never on the thread that answers everybody. */
const HEAVY_TASKS = {
  calculate: ({ name, input }: { readonly name: string; readonly input: unknown }) => calculateInTime(name, input),
  'busy-times': ({
    text,
    from,
    to,
    timeZone,
  }: {
    readonly text: string
    readonly from: string
    readonly to: string
    readonly timeZone: string
  }) => readBusyTimes(text, from, to, timeZone),
  'frozen-comparison': ({ comparison, members }: { readonly comparison: Comparison; readonly members: number }) =>
    freezeComparison(comparison, members),
  'trainer-season': ({
    scenario,
    seed,
    choices,
  }: {
    readonly scenario: ScenarioKey
    readonly seed: number
    readonly choices: readonly WeekChoice[]
  }) => playSeason(scenario, seed, choices),
  'weather-csv': ({ text, today }: { readonly text: string; readonly today: string }) => readWeatherCsv(text, today),
} as const

export type HeavyKind = keyof typeof HEAVY_TASKS
export type HeavyInput<Kind extends HeavyKind> = Parameters<(typeof HEAVY_TASKS)[Kind]>[0]
export type HeavyResult<Kind extends HeavyKind> = Awaited<ReturnType<(typeof HEAVY_TASKS)[Kind]>>
export interface HeavyTask {
  readonly kind: HeavyKind
  readonly input: unknown
}

/** Bad input is an answer like any other; only faults of the program are thrown. */
export async function doHeavy({
  kind,
  input,
}: HeavyTask): Promise<{ value: unknown } | { domain: { message: string; parameter: string } }> {
  try {
    return { value: await HEAVY_TASKS[kind](input as never) }
  } catch (error) {
    if (error instanceof DomainError) return { domain: { message: error.message, parameter: error.parameter } }
    throw error
  }
}
