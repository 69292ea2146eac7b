import { daysBetween, type IsoDate } from '../numeric/calendar'
import { quantileOfSorted } from '../numeric/quantile'
import { seededRandom } from '../numeric/random'
import type { StationNormals } from '../season/station'
import { plainDayOfYear, possibleWeather, type KnownWeather } from '../season/weather-ahead'
import { simulate } from '../ecosystem/simulate'
import type { Band } from '../ecosystem/comparison/comparison'
import type { Series } from '../ecosystem/outputs'
import type { EcoPond } from '../ecosystem/pond'
import { HAZARD_KEYS, HAZARDS, isPast, OUTLOOK_OUTPUTS, type Hazard, type OutlookOutput } from './hazards'
import type { Issued } from './issued'
import { asRead, withoutBias, type ObservedKind } from './observed'
import { parametersOf, type ParticleFilter } from './particle-filter'
import { recordOf } from '../numeric/record-of'

export const OUTLOOK_DAYS = 21

export interface Risk {
  /** Share of the runs in which the line is crossed within a week, and within the whole outlook. */
  readonly week: number
  readonly whole: number
  /** Day on which half of those that cross have crossed, counted from the first; null when none do. */
  readonly day: number | null
}

export interface Outlook {
  readonly from: IsoDate
  readonly bands: Readonly<Record<OutlookOutput, Band>>
  readonly risks: Readonly<Record<Hazard, Risk>>
}

/** An outlook, and the share of the runs that are past each line, day by day. */
export interface OutlookMade extends Outlook {
  readonly past: Issued['past']
}

const WEEK = 7
const SEED = 90_001

export interface OutlookInput {
  readonly pond: EcoPond
  /** The pond's deepest water, m: a hand is seen no deeper. */
  readonly deepestM: number
  readonly station: StationNormals
  readonly known: KnownWeather
}

/**
 * The coming weeks of a pond from its filter, through weathers that go on from the forecast.
 * @param days how far, three weeks unless said otherwise
 */
export function outlookOf(filter: ParticleFilter, input: OutlookInput, days = OUTLOOK_DAYS): OutlookMade {
  const runs = runsAhead(filter, input, days)
  return {
    from: filter.day,
    bands: bandsOf(runs, days),
    risks: recordOf(HAZARD_KEYS, (hazard) => riskOf(runs, hazard, input.deepestM)),
    past: pastOf(runs, days, input.deepestM),
  }
}

/** What is kept of an outlook, to be held against the tests that come after. @param on day it is given out */
export const issuedOf = ({ from, bands, past }: OutlookMade, on: IsoDate): Issued => ({ on, from, bands, past })

function runsAhead(
  filter: ParticleFilter,
  { pond, deepestM, station, known }: OutlookInput,
  days: number,
): CorrectedSeries[] {
  const draw = possibleWeather(known, station, filter.day, days)
  return filter.particles.map((particle, i) => {
    const { series } = simulate({
      pond,
      weather: draw(seededRandom(SEED + i + daysBetween('2001-01-01', filter.day))),
      startDay: plainDayOfYear(filter.day),
      days,
      events: [],
      start: particle.state,
      parameters: parametersOf(particle),
      every: 'day',
    })
    return corrected(series, filter.bias, deepestM)
  })
}

/** Kind of test by which each output's bias is known; toxic ammonia is off by as much as the total. */
const READ_AS: Readonly<Partial<Record<OutlookOutput, ObservedKind>>> = {
  waterC: 'waterTemp',
  tan: 'tan',
  nitrite: 'nitrite',
  oxygen: 'dissolvedOxygen',
  clarityM: 'clarityDepth',
}

type CorrectedSeries = Readonly<Record<OutlookOutput, readonly number[]>>

/** A run's outputs as they would be read, with the pond's own bias taken off. */
function corrected(series: Series, bias: ParticleFilter['bias'], deepestM: number): CorrectedSeries {
  const tanShare = Array.from(series.tan, (tan) => withoutBias('tan', tan, bias.tan ?? 0) / Math.max(tan, 1e-9))
  return recordOf(OUTLOOK_OUTPUTS, (output) => {
    const kind = READ_AS[output]
    if (output === 'nh3') return Array.from(series.nh3, (value, d) => value * tanShare[d]!)
    if (!kind) return Array.from(series[output])
    const read = (value: number) =>
      asRead(kind, Math.max(0, withoutBias(kind, asRead(kind, value, deepestM), bias[kind] ?? 0)), deepestM)
    return Array.from(series[output], read)
  })
}

const bandsOf = (runs: readonly CorrectedSeries[], days: number): Outlook['bands'] =>
  recordOf(OUTLOOK_OUTPUTS, (output) => {
    const sorted = eachDay(days, (d) => runs.map((r) => r[output][d]!).sort((a, b) => a - b))
    const at = (share: number) => sorted.map((values) => quantileOfSorted(values, share))
    return { p10: at(0.1), p50: at(0.5), p90: at(0.9) }
  })

const pastOf = (runs: readonly CorrectedSeries[], days: number, deepestM: number): Issued['past'] =>
  recordOf(HAZARD_KEYS, (hazard) =>
    eachDay(
      days,
      (d) => runs.filter((run) => isPast(hazard, run[HAZARDS[hazard].output][d]!, deepestM)).length / runs.length,
    ),
  )

const eachDay = <T>(days: number, of: (day: number) => T): T[] => Array.from({ length: days }, (_, d) => of(d))

function riskOf(runs: readonly CorrectedSeries[], hazard: Hazard, deepestM: number): Risk {
  const crossings = runs
    .map((run) => run[HAZARDS[hazard].output].findIndex((value) => isPast(hazard, value, deepestM)))
    .filter((day) => day >= 0)
    .sort((a, b) => a - b)
  return {
    week: crossings.filter((day) => day < WEEK).length / runs.length,
    whole: crossings.length / runs.length,
    day: crossings.length > 0 ? crossings[Math.floor((crossings.length - 1) / 2)]! : null,
  }
}
