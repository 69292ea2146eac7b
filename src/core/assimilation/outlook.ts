import { daysBetween } from '../numeric/calendar'
import { quantileOfSorted } from '../statistics/quantile'
import { seededRandom } from '../numeric/random'
import type { StationNormals } from '../season/station'
import { possibleWeather, type KnownWeather } from '../season/weather-ahead'
import { plainDayOfYear } from '../season/season-year'
import { simulate } from '../ecosystem/simulate'
import type { Band } from '../ecosystem/comparison/comparison'
import type { EcoPond } from '../ecosystem/pond'
import { HAZARD_KEYS, HAZARDS, isPast, OUTLOOK_OUTPUTS, type Hazard, type OutlookOutput } from './hazards'
import type { Issued } from './issued'
import type { EnsembleFilter } from './ensemble-filter'
import { correctedRuns, type CorrectedRun, type MemberRun } from './corrected'
import type { Stretches } from './stretch'
import { parametersOf, pondOf, stateAsKept } from './traits'
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
  readonly from: string
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
  /** The pond's deepest water, m: clarity is read no deeper. */
  readonly deepestM: number
  readonly station: StationNormals
  readonly known: KnownWeather
  /** What past forecasts of this pond ask of its bands. */
  readonly stretch: Stretches
}

/**
 * The coming weeks of a pond from its ensemble, through weathers that go on from the forecast: what would be read,
 * with the pond's own bias and as wide as its past forecasts have shown to be needed.
 * @param days how far, three weeks unless said otherwise
 */
export function outlookOf(filter: EnsembleFilter, input: OutlookInput, days = OUTLOOK_DAYS): OutlookMade {
  const { deepestM, stretch, known } = input
  const setting = { deepestM, stretch, leadOfFirst: daysBetween(known.today, filter.day), wander: filter.wander }
  const runs = correctedRuns(runsAhead(filter, input, days), days, setting)
  return {
    from: filter.day,
    bands: bandsOf(runs, days),
    risks: recordOf(HAZARD_KEYS, (hazard) => riskOf(runs, hazard, deepestM)),
    past: pastOf(runs, days, deepestM),
  }
}

/** What is kept of an outlook, to be held against the tests that come after. @param on day it is given out */
export const issuedOf = ({ from, bands, past }: OutlookMade, on: string, stretch: Stretches): Issued => ({
  on,
  from,
  bands,
  past,
  stretch,
})

function runsAhead(filter: EnsembleFilter, input: OutlookInput, days: number): MemberRun[] {
  const draw = possibleWeather(input.known, input.station, filter.day, days)
  return filter.members.map(({ traits, volumeShare, state, bias }, i) => {
    const random = seededRandom(SEED + i + daysBetween('2001-01-01', filter.day))
    const { series } = simulate({
      pond: pondOf(input.pond, traits, volumeShare),
      weather: draw(random),
      startDay: plainDayOfYear(filter.day),
      days,
      events: [],
      start: stateAsKept(state, traits),
      parameters: parametersOf(traits),
      every: 'day',
    })
    return { series, bias, random }
  })
}

const bandsOf = (runs: readonly CorrectedRun[], days: number): Outlook['bands'] =>
  recordOf(OUTLOOK_OUTPUTS, (output) => {
    const sorted = eachDay(days, (d) => runs.map((r) => r[output][d]!).sort((a, b) => a - b))
    const at = (share: number) => sorted.map((values) => quantileOfSorted(values, share))
    return { p10: at(0.1), p50: at(0.5), p90: at(0.9) }
  })

const pastOf = (runs: readonly CorrectedRun[], days: number, deepestM: number): Issued['past'] =>
  recordOf(HAZARD_KEYS, (hazard) =>
    eachDay(
      days,
      (d) => runs.filter((run) => isPast(hazard, run[HAZARDS[hazard].output][d]!, deepestM)).length / runs.length,
    ),
  )

const eachDay = <T>(days: number, of: (day: number) => T): T[] => Array.from({ length: days }, (_, d) => of(d))

function riskOf(runs: readonly CorrectedRun[], hazard: Hazard, deepestM: number): Risk {
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
