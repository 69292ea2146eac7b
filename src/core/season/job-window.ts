import type { IsoDate } from '../numeric/calendar'
import { quantileOfSorted } from '../statistics/quantile'
import type { SeasonRules, WindowJob } from './house-rules'
import type { PossibleYear, SeasonClock } from './possible-year'
import { DAYS, windowRule, type WindowRule } from './window-rules'

/** A window is open while at least this share of years allows the job. */
const OPEN_SHARE = 0.3

export interface JobWindow {
  readonly job: WindowJob
  /** 'span': conditions hold on a day. 'turn': something has come to pass by a day. */
  readonly kind: 'span' | 'turn'
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
  /**
   * Share of weather years in which the conditions hold (span) or the turn has come (turn), for each of 365 days,
   * 1 January first.
   */
  readonly likelihood: readonly number[]
  /** Median figures at the best day, for "why then?". */
  readonly why: {
    readonly waterC: number
    readonly minAirC: number
    readonly likelihood: number
    readonly median: number
  }
}

const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length

/** What all windows of a pond's season have in common. */
export interface WindowSetting {
  readonly rules: SeasonRules
  readonly clock: SeasonClock
  readonly dateOf: (index: number) => IsoDate
  /** Puts what is told by the season's days in the order of the calendar. */
  readonly days: <Of>(of: (i: number) => Of) => Of[]
}

/** A job's window over many ways a year may go; none where it cannot come at this pond. */
export function windowOf(
  job: WindowJob,
  years: readonly PossibleYear[],
  { rules, clock, dateOf, days }: WindowSetting,
): JobWindow[] {
  const rule = windowRule(job, rules, clock)
  if (!rule) return []
  // where hard frost hardly comes, nothing is taken out of its way
  if (job === 'winter-shutdown' && !freezes(years, rules)) return []
  const { kind } = rule
  const { likelihood, range } = kind === 'turn' ? turnOver(rule, years) : spanOver(rule, years)
  if (!range) return []
  const [earliest, best, latest] = range
  const why = {
    waterC: median(years.map((y) => y.water[best]!.waterC)),
    minAirC: median(years.map((y) => y.weather[best]!.minAirC)),
    likelihood: likelihood[best]!,
    median: best + 1,
  }
  return [
    {
      job,
      kind,
      earliest: dateOf(earliest),
      best: dateOf(best),
      latest: dateOf(latest),
      likelihood: days((i) => likelihood[i]!),
      why,
    },
  ]
}

interface Over {
  readonly likelihood: ArrayLike<number>
  /** Earliest, best and latest day; null where it hardly ever comes. */
  readonly range: readonly [number, number, number] | null
}
type RuleOf<Kind extends WindowRule['kind']> = Extract<WindowRule, { kind: Kind }>

/** 10, 50 and 90 % of the days on which the turn comes; nothing when it comes in under half of the years. */
function turnOver({ on, until }: RuleOf<'turn'>, years: readonly PossibleYear[]): Over {
  const days = years
    .map(on)
    .filter((day) => day >= 0)
    .sort((a, b) => a - b)
  const likelihood = new Float64Array(DAYS)
  let come = 0
  for (let day = 0; day < until; day++) {
    while (come < days.length && days[come]! <= day) come++
    likelihood[day] = come / years.length
  }
  const at = (share: number) => Math.round(quantileOfSorted(days, share))
  return { likelihood, range: days.length < years.length / 2 ? null : [at(0.1), at(0.5), at(0.9)] }
}

/** Days that allow the job, counted over the years; those that stand in for them where they hardly ever come. */
function spanOver({ holds, otherwise }: RuleOf<'span'>, years: readonly PossibleYear[]): Over {
  const likelihood = new Float64Array(DAYS)
  for (const year of years) {
    const test = holds(year)
    for (let day = 0; day < DAYS; day++) if (test(day)) likelihood[day]! += 1
  }
  for (let day = 0; day < DAYS; day++) likelihood[day]! /= years.length
  const range = spanRange([...likelihood])
  return range || !otherwise ? { likelihood, range } : spanOver({ kind: 'span', holds: otherwise }, years)
}

/** Whether hard frost or ice comes in so many years that work goes by it. @source house default: one in ten */
const freezes = (years: readonly PossibleYear[], { hardFrostAirC }: SeasonRules): boolean =>
  years.filter(
    ({ weather, firstIce, iceOut }) => firstIce < DAYS || iceOut > 0 || weather.some((d) => d.minAirC <= hardFrostAirC),
  ).length >=
  years.length / 10

const median = (values: number[]): number => quantileOfSorted(Float64Array.from(values).sort(), 0.5)

/** The open days around the likeliest one: best is the middle of the days within 5 points of the highest likelihood. */
function spanRange(likelihood: readonly number[]): [number, number, number] | null {
  const smooth = likelihood.map((_, i) => mean(likelihood.slice(Math.max(0, i - 3), i + 4)))
  const peak = Math.max(...smooth)
  if (peak < OPEN_SHARE) return null
  const top = smooth.flatMap((value, i) => (value >= peak - 0.05 ? [i] : []))
  const best = top[Math.floor((top.length - 1) / 2)]!
  let [earliest, latest] = [best, best]
  while (earliest > 0 && smooth[earliest - 1]! >= OPEN_SHARE) earliest--
  while (latest < DAYS - 1 && smooth[latest + 1]! >= OPEN_SHARE) latest++
  return [earliest, best, latest]
}
