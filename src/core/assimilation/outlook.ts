import { daysBetween, type IsoDate } from '../numeric/calendar'
import { quantileOfSorted } from '../numeric/quantile'
import { seededRandom } from '../numeric/random'
import type { StationNormals } from '../season/station'
import { plainDayOfYear, possibleWeather, type KnownWeather } from '../season/weather-ahead'
import { thresholdsOf } from '../water/readings'
import { LINES } from '../ecosystem/measures'
import { simulate } from '../ecosystem/simulate'
import type { Band } from '../ecosystem/comparison/comparison'
import type { OutputName, Series } from '../ecosystem/outputs'
import type { EcoPond } from '../ecosystem/pond'
import { asRead, seenToFloor, withoutBias, type ObservedKind } from './observed'
import { parametersOf, type ParticleFilter } from './particle-filter'
import { recordOf } from '../numeric/record-of'

export const OUTLOOK_DAYS = 21
/** What a forecast shows. */
export const OUTLOOK_OUTPUTS = [
  'waterC',
  'tan',
  'nh3',
  'nitrite',
  'oxygen',
  'clarityM',
  'levelMm',
] as const satisfies readonly OutputName[]
export type OutlookOutput = (typeof OUTLOOK_OUTPUTS)[number]

/** What can go wrong, with the line past which it has. @source lines of the readings; heat and level: house defaults */
export const HAZARDS = {
  ammonia: { output: 'nh3', side: 'above', line: LINES.nh3 },
  nitrite: { output: 'nitrite', side: 'above', line: LINES.nitrite },
  oxygen: { output: 'oxygen', side: 'below', line: LINES.oxygen },
  murk: { output: 'clarityM', side: 'below', line: LINES.clarityM },
  heat: { output: 'waterC', side: 'above', line: thresholdsOf('waterTemp').find((t) => t.band === 'act')!.value },
  level: { output: 'levelMm', side: 'below', line: -35 },
} as const satisfies Record<string, { output: OutlookOutput; side: 'above' | 'below'; line: number }>
export type Hazard = keyof typeof HAZARDS
export const HAZARD_KEYS = Object.keys(HAZARDS) as Hazard[]

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

const WEEK = 7
const SEED = 90_001

export interface OutlookInput {
  readonly pond: EcoPond
  /** The pond's deepest water, m: a hand is seen no deeper. */
  readonly deepestM: number
  readonly station: StationNormals
  readonly known: KnownWeather
}

/** The coming three weeks of a pond from its filter, through weathers that go on from the forecast. */
export function outlookOf(filter: ParticleFilter, { pond, deepestM, station, known }: OutlookInput): Outlook {
  const draw = possibleWeather(known, station, filter.day, OUTLOOK_DAYS)
  const runs = filter.particles
    .map((particle, i) => {
      const weather = draw(seededRandom(SEED + i + daysBetween('2001-01-01', filter.day)))
      const startDay = plainDayOfYear(filter.day)
      return simulate({
        pond,
        weather,
        startDay,
        days: OUTLOOK_DAYS,
        events: [],
        start: particle.state,
        parameters: parametersOf(particle),
        every: 'day',
      }).series
    })
    .map((series) => corrected(series, filter.bias, deepestM))
  return {
    from: filter.day,
    bands: recordOf(OUTLOOK_OUTPUTS, (output) => bandOver(runs, output)),
    risks: recordOf(HAZARD_KEYS, (hazard) => riskOf(runs, hazard, deepestM)),
  }
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

function bandOver(runs: readonly CorrectedSeries[], output: OutlookOutput): Band {
  const days = Array.from({ length: OUTLOOK_DAYS }, (_, d) => runs.map((r) => r[output][d]!).sort((a, b) => a - b))
  const at = (share: number) => days.map((values) => quantileOfSorted(values, share))
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) }
}

function riskOf(runs: readonly CorrectedSeries[], hazard: Hazard, deepestM: number): Risk {
  const { output, side, line } = HAZARDS[hazard]
  // a shallow pond that is seen to its floor is not murky
  const crosses = (value: number) =>
    side === 'above' ? value > line : value < line && !(hazard === 'murk' && seenToFloor(value, deepestM))
  const crossings = runs
    .map((run) => run[output].findIndex(crosses))
    .filter((day) => day >= 0)
    .sort((a, b) => a - b)
  return {
    week: crossings.filter((day) => day < WEEK).length / runs.length,
    whole: crossings.length / runs.length,
    day: crossings.length > 0 ? crossings[Math.floor((crossings.length - 1) / 2)]! : null,
  }
}
