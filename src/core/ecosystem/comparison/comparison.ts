import { addDays, type IsoDate } from '../../numeric/calendar'
import { seededRandom } from '../../numeric/random'
import { dailyNormals, type StationNormals } from '../../season/station'
import { possibleWeather, type KnownWeather } from '../../season/weather-ahead'
import { plainDayOfYear } from '../../season/season-year'
import type { WeatherDay } from '../../season/weather-year'
import { drawParameters } from '../draw-parameters'
import type { PondEvent } from '../events'
import type { NutrientBudget } from '../ledger'
import { measuresOf, type Measures } from '../measures'
import type { OutputName } from '../outputs'
import { parameterValues, type ParameterValues } from '../parameters'
import type { EcoPond } from '../pond'
import { startRunning, type PondState } from '../running'
import { simulate, type EcoResult } from '../simulate'
import { takeKnownWater, type KnownWater, type StartKind } from '../start'
import { quantileOfSorted } from '../../statistics/quantile'

/**
 * One way things could go: the pond as it would be fitted and fed, and what happens to it. Days count from the
 * comparison's first day.
 */
export interface Scenario {
  readonly pond: EcoPond
  readonly events: readonly PondEvent[]
}

/** Several ways from the same start, through the same weathers. */
export interface Comparison {
  /** The pond as it is: what the run-in is made with. */
  readonly pond: EcoPond
  /** The station's normals at the pond's height. */
  readonly station: StationNormals
  readonly known: KnownWeather
  readonly from: IsoDate
  readonly days: number
  readonly scenarios: readonly Scenario[]
  readonly start: StartKind
  readonly water: KnownWater
  readonly seed: number
}

/** What is kept of a run, by day. */
export const SHOWN_OUTPUTS = [
  'waterC',
  'tan',
  'nh3',
  'nitrite',
  'nitrate',
  'phosphate',
  'oxygen',
  'ph',
  'clarityM',
  'filamentousGM2',
  'bacteriaShare',
  'levelMm',
] as const satisfies readonly OutputName[]
export type ShownOutput = (typeof SHOWN_OUTPUTS)[number]

/** One member's run of one scenario. */
export interface MemberRun {
  /** By output in the order of SHOWN_OUTPUTS, days in a row each. */
  readonly daily: Float32Array
  readonly measures: Measures
  readonly nitrogen: NutrientBudget
  readonly phosphorus: NutrientBudget
}

/**
 * A year with the usual parameters, then some weeks with the member's own, so that the start is the pond's and not
 * the table's.
 */
const LONG_RUN_IN = 365
const SHORT_RUN_IN = 45
/** A pond as it usually is gets there by itself; a new, a green or a neglected one is put there. */
const hasPast = (kind: StartKind): boolean => kind === 'settled'

const MEMBER_SEED = 7919

/**
 * Runs members of a comparison; the long run-in is made once. Every member has its own parameters and weather, the
 * same for all scenarios.
 */
export class ComparisonRunner {
  private readonly before: PondState | null

  constructor(private readonly comparison: Comparison) {
    this.before = hasPast(comparison.start) ? longRunIn(comparison) : null
  }

  /** @param member 0, 1, 2 …; the same member is the same run whoever makes it */
  member(member: number): MemberRun[] {
    const { from, days, known, station, seed, scenarios } = this.comparison
    const random = seededRandom(seed + MEMBER_SEED * (member + 1))
    // the first member is the model's best guess
    const parameters = member === 0 ? parameterValues() : drawParameters(random)
    const shortRunIn = this.before ? SHORT_RUN_IN : 0
    const weather = possibleWeather(known, station, addDays(from, -shortRunIn), shortRunIn + days)(random)
    const start = this.startOf(weather, parameters, shortRunIn)
    return scenarios.map(({ pond, events }) => {
      const result = simulate({
        pond,
        parameters,
        weather: weather.slice(shortRunIn),
        startDay: plainDayOfYear(from),
        days,
        events,
        every: 'day',
        start: start
          ? { y: start.y, running: fittedTo(pond, start.running) }
          : { kind: this.comparison.start, known: this.comparison.water },
      })
      return memberRun(result, days)
    })
  }

  private startOf(weather: readonly WeatherDay[], parameters: ParameterValues, days: number): PondState | null {
    const { pond, from, water } = this.comparison
    if (!this.before) return null
    const { end } = simulate({
      pond,
      parameters,
      weather,
      startDay: plainDayOfYear(addDays(from, -days)),
      days,
      events: [],
      every: 'day',
      fishKept: true,
      start: this.before,
    })
    return takeKnownWater(end, water, pond, parameters)
  }
}

/** What runs and is fed follows the scenario's pond; where water and appetite stand goes on. */
const fittedTo = (pond: EcoPond, was: PondState['running']): PondState['running'] => ({
  ...startRunning(pond, was.waterC),
  appetite: was.appetite,
  levelMm: was.levelMm,
  volumeM3: was.volumeM3,
  iceM: was.iceM,
})

function longRunIn({ pond, station, from, start }: Comparison): PondState {
  const begin = plainDayOfYear(addDays(from, -SHORT_RUN_IN - LONG_RUN_IN))
  const normals = dailyNormals(station)
  const weather = Array.from({ length: LONG_RUN_IN }, (_, i) => {
    const day = normals[(begin + i - 1) % 365]!
    return { ...day, rainMm: day.rainMm / 30.4 }
  })
  return simulate({
    pond,
    weather,
    startDay: begin,
    days: LONG_RUN_IN,
    events: [],
    every: 'day',
    fishKept: true,
    start: { kind: start },
  }).end
}

function memberRun(result: EcoResult, days: number): MemberRun {
  const daily = new Float32Array(SHOWN_OUTPUTS.length * days)
  SHOWN_OUTPUTS.forEach((name, i) => daily.set(result.series[name], i * days))
  return { daily, measures: measuresOf(result.series), nitrogen: result.nitrogen, phosphorus: result.phosphorus }
}

/** 10, 50 and 90 % of the members, day by day. */
export interface Band {
  readonly p10: readonly number[]
  readonly p50: readonly number[]
  readonly p90: readonly number[]
}

/** Bands of one output over members' runs of one scenario. */
export function bandOf(runs: readonly Pick<MemberRun, 'daily'>[], output: ShownOutput, days: number): Band {
  const at = SHOWN_OUTPUTS.indexOf(output) * days
  const band = { p10: [] as number[], p50: [] as number[], p90: [] as number[] }
  const values = new Float32Array(runs.length)
  for (let day = 0; day < days; day++) {
    runs.forEach((run, i) => (values[i]! = run.daily[at + day]!))
    values.sort()
    band.p10.push(quantileOfSorted(values, 0.1))
    band.p50.push(quantileOfSorted(values, 0.5))
    band.p90.push(quantileOfSorted(values, 0.9))
  }
  return band
}
