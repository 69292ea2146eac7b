import { drawParameters } from '../ecosystem/draw-parameters'
import { weatherWithEvents, type PondEvent } from '../ecosystem/events'
import type { ParameterValues } from '../ecosystem/parameters'
import { simulate } from '../ecosystem/simulate'
import { SAMPLE_STATION } from '../ecosystem/trials/sample-pond'
import { addDays, type IsoDate } from '../numeric/calendar'
import { seededRandom } from '../numeric/random'
import { possibleWeather } from '../season/weather-ahead'
import { plainDayOfYear } from '../season/season-year'
import type { WeatherDay } from '../season/weather-year'
import type { ToldCode, TrainerScenario } from './scenario'

/**
 * A scenario in one year: the weather, the biology and the surprises that a seed brings. The player knows none of
 * them.
 */
export interface TrainingWorld {
  readonly scenario: TrainerScenario
  readonly seed: number
  readonly from: IsoDate
  readonly parameters: ParameterValues
  /** From the first day on, with heatwaves in it. */
  readonly weather: readonly WeatherDay[]
  /** The pond as it is handed over, and the last day's output before that. */
  readonly start: ReturnType<typeof simulate>
  /** By week. */
  readonly surprises: readonly {
    readonly week: number
    readonly told: ToldCode
    readonly events: readonly PondEvent[]
  }[]
}

/** The training pond's deepest water, m. */
export const TRAINING_DEPTH_M = 0.95

/** A year without 29 February; the trainer shows days and months only. */
const YEAR = '2001'
/** Days that a pond is run before it is handed over: a pond with a past has a year behind it. */
const RUN_IN_DAYS = { new: 4, settled: 365, green: 10, neglected: 21 } as const

/** The same scenario and seed are the same world, wherever it is made. */
export function worldOf(scenario: TrainerScenario, seed: number): TrainingWorld {
  const random = seededRandom(seed)
  const parameters = drawParameters(random)
  const from = `${YEAR}-${scenario.startsOn}`
  const days = scenario.weeks * 7
  const runIn = RUN_IN_DAYS[scenario.start]
  const weather = possibleWeather(
    { today: from, observed: [], forecast: [] },
    SAMPLE_STATION,
    addDays(from, -runIn),
    runIn + days,
  )(random)
  const surprises = scenario.surprises.flatMap((surprise) => {
    const [comes, at] = [random() < surprise.chance, random()]
    if (!comes) return []
    const week = surprise.weeks[0] + Math.floor(at * (surprise.weeks[1] - surprise.weeks[0] + 1))
    return [{ week, told: surprise.told, events: surprise.deeds as readonly PondEvent[] }]
  })
  const heat = surprises.flatMap(({ week, events }) =>
    events.filter((e) => e.kind === 'heatwave').map((e) => ({ ...e, day: e.day + week * 7 })),
  )
  return {
    scenario,
    seed,
    from,
    parameters,
    weather: weatherWithEvents(weather.slice(runIn), heat),
    start: handedOver(scenario, parameters, weather, addDays(from, -runIn), runIn),
    // a heatwave is in the weather already
    surprises: surprises.map((s) => ({ ...s, events: s.events.filter((e) => e.kind !== 'heatwave') })),
  }
}

function handedOver(
  scenario: TrainerScenario,
  parameters: ParameterValues,
  weather: readonly WeatherDay[],
  from: IsoDate,
  days: number,
) {
  const begin = { pond: scenario.pond, parameters, weather, startDay: plainDayOfYear(from), every: 'day' as const }
  const events = scenario.handedOver.map(
    ({ daysBefore, ...deed }) => ({ ...deed, day: days - daysBefore }) as PondEvent,
  )
  // where water, ice and appetite stand is the end of the run-in; its last day is what the first visit sees
  // whatever befell the fish before is not the player's: the shoal is whole and well
  return simulate({ ...begin, days, events, start: { kind: scenario.start }, fishKept: true })
}
