import { degreeDayDate, leafFallDay } from './phenology'
import type { SeasonRules, WindowJob } from './house-rules'
import type { WaterDay } from './water-temperature'
import type { WeatherDay } from './weather-year'

/** One way a season year may go, 365 days from its first on. */
export interface PossibleYear {
  readonly weather: readonly WeatherDay[]
  readonly water: readonly WaterDay[]
}

/** 'span': the days on which a job may be done. 'turn': the day from which something has come to pass. */
export interface WindowRule {
  readonly kind: 'span' | 'turn'
  readonly holds: (year: PossibleYear) => boolean[]
}

/** How the days of a season year lie: everything else that rules know of where a pond is. */
export interface SeasonClock {
  readonly latitudeDeg: number
  /** Day of the year, 1..365, of the first day. */
  readonly firstDay: number
  /** The warm turn, as the season year's day; the first is 0. */
  readonly warmAt: number
}

export const DAYS = 365
const WEEK = 7
const FORTNIGHT = 14
/** Where water never falls to a cleanout's cold, the coolest weeks are those so near the coldest, °C. @source house default */
const COOLEST_WITHIN_C = 2.5

const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length
/** Mean of a day and the ones before it, without copies: this is asked for a million times a year of ponds. */
function trailing(water: readonly WaterDay[], i: number, days: number): number {
  const from = Math.max(0, i - days + 1)
  let sum = 0
  for (let k = from; k <= i; k++) sum += water[k]!.waterC
  return sum / (i - from + 1)
}
const byDay = (test: (i: number) => boolean): boolean[] => Array.from({ length: DAYS }, (_, i) => test(i))
const iceOutDay = (water: readonly WaterDay[], { warmAt }: SeasonClock) =>
  water.slice(0, warmAt).findLastIndex((d) => d.iceM > 0) + 1
/** First day of ice of the coming winter; Infinity when this year stays open. */
const firstIceDay = (water: readonly WaterDay[], { warmAt }: SeasonClock) => {
  const at = water.findIndex((d, i) => i > warmAt && d.iceM > 0)
  return at === -1 ? Infinity : at
}

/** The first day from which a test holds and stays until a day: the warm turn for spring, the year's end for autumn. */
function staysFrom(from: number, to: number, test: (i: number) => boolean): number {
  let last = to
  for (let i = to - 1; i >= from && test(i); i--) last = i
  return last
}

/** The days after a turn. What holds from the very first day has not turned: nothing is to be done for it. */
function turned(from: number, to: number, test: (i: number) => boolean): boolean[] {
  const at = staysFrom(from, to, test)
  return byDay((i) => at > from && i >= at && i < to)
}

/** From the first day after a day on which something happens once. */
function happened(from: number, test: (i: number) => boolean): boolean[] {
  let come = false
  return byDay((i) => (come ||= i >= from && test(i)))
}

/** Spring water that has reached a temperature for good, by its mean over some days. */
const warmedTo = (water: readonly WaterDay[], waterC: number, days: number, { warmAt }: SeasonClock) =>
  turned(0, warmAt, (i) => trailing(water, i, days) >= waterC)
const cooledBelow = (water: readonly WaterDay[], waterC: number, days: number, { warmAt }: SeasonClock) =>
  turned(warmAt, DAYS, (i) => trailing(water, i, days) < waterC)

/**
 * When a job may be done, by the house rules.
 * @returns null where the house rules have no such job
 */
// eslint-disable-next-line max-lines-per-function -- one case for each job
export function windowRule(job: WindowJob, rules: SeasonRules, clock: SeasonClock): WindowRule | null {
  const { warmAt } = clock
  switch (job) {
    case 'spring-cleanout':
      return rules.spring === 'never-drain' ? null : { kind: 'span', holds: (year) => cleanoutDays(year, rules, clock) }
    case 'cold-bacteria':
      return rules.bacteria !== 'regular'
        ? null
        : { kind: 'span', holds: ({ water }) => coldBacteriaDays(water, rules, clock) }
    case 'bacteria':
      return rules.bacteria !== 'regular'
        ? null
        : { kind: 'turn', holds: ({ water }) => warmedTo(water, rules.bacteriaWaterC, 3, clock) }
    case 'spring-startup':
      return {
        kind: 'turn',
        holds: ({ weather, water }) =>
          turned(
            0,
            warmAt,
            (i) =>
              trailing(water, i, 5) >= rules.startupWaterC &&
              mean(weather.slice(Math.max(0, i - WEEK + 1), i + 1).map((d) => d.minAirC)) > 0,
          ),
      }
    case 'dividing':
      return {
        kind: 'span',
        holds: ({ weather, water }) => {
          const [iceOut, leafOut] = [iceOutDay(water, clock), degreeDayDate(weather, rules.leafOutDegreeDays)]
          return byDay(
            (i) =>
              i < warmAt &&
              i >= iceOut &&
              trailing(water, i, WEEK) >= rules.startupWaterC &&
              i + 1 < leafOut + 2 * WEEK,
          )
        },
      }
    case 'feeding-start':
      return { kind: 'turn', holds: ({ water }) => warmedTo(water, rules.feedingStartWaterC, 3, clock) }
    case 'feeding-normal':
      return { kind: 'turn', holds: ({ water }) => warmedTo(water, rules.feedingNormalWaterC, 3, clock) }
    case 'wetland-flush':
      return { kind: 'span', holds: ({ water }) => flushDays(water, rules, clock) }
    case 'tender-planting':
      return {
        kind: 'turn',
        holds: ({ weather, water }) => {
          const lastFrost = weather.slice(0, warmAt).findLastIndex((d) => d.minAirC <= 0)
          return turned(0, warmAt, (i) => i > lastFrost && trailing(water, i, 3) >= rules.tenderPlantsWaterC)
        },
      }
    case 'high-summer':
      return { kind: 'span', holds: ({ water }) => byDay((i) => water[i]!.waterC >= rules.highSummerWaterC) }
    case 'shade-down':
      return { kind: 'turn', holds: ({ water }) => cooledBelow(water, rules.shadeDownWaterC, WEEK, clock) }
    case 'feeding-stop':
      return { kind: 'turn', holds: ({ water }) => cooledBelow(water, rules.feedingStopWaterC, 3, clock) }
    case 'cut-back':
      return {
        kind: 'turn',
        holds: ({ weather }) => happened(warmAt, (i) => weather[i]!.minAirC <= rules.killingFrostAirC),
      }
    case 'netting': {
      const [lead, close] = rules.nettingLeadDays
      return { kind: 'span', holds: ({ weather }) => aroundLeafFall(weather, clock, rules, -lead, -close) }
    }
    case 'netting-off': {
      const [bare, latest] = rules.nettingOffDays
      return { kind: 'span', holds: ({ weather }) => aroundLeafFall(weather, clock, rules, bare, latest) }
    }
    case 'winter-shutdown':
      return rules.winter !== 'shutdown' ? null : { kind: 'span', holds: (year) => shutdownDays(year, rules, clock) }
    case 'deicer-on': {
      const [from, to] = rules.deicerLeadDays
      return {
        kind: 'span',
        holds: ({ water }) => {
          const ice = firstIceDay(water, clock)
          return byDay((i) => i >= ice - from && i <= ice - to)
        },
      }
    }
    case 'winter-running':
      return rules.winter !== 'run-on'
        ? null
        : {
            kind: 'turn',
            holds: ({ water }) => {
              const ice = firstIceDay(water, clock)
              return byDay((i) => i >= ice)
            },
          }
  }
}

function cleanoutDays({ weather, water }: PossibleYear, rules: SeasonRules, clock: SeasonClock): boolean[] {
  const [low, high] = rules.cleanoutWaterC
  const fortnights = Array.from({ length: clock.warmAt }, (_, i) => trailing(water, i, FORTNIGHT))
  const coldestC = Math.min(...fortnights)
  // no cold to wait for: the weeks about the cold turn are easiest on fish and plants
  if (coldestC > high) return byDay((i) => i < clock.warmAt && fortnights[i]! <= coldestC + COOLEST_WITHIN_C)
  const leafOut = degreeDayDate(weather, rules.leafOutDegreeDays)
  const iceOut = iceOutDay(water, clock)
  return byDay(
    (i) =>
      i < clock.warmAt &&
      i >= iceOut &&
      i + 1 < leafOut &&
      water[i]!.waterC >= low &&
      water[i]!.waterC <= high &&
      weather[i]!.minAirC > rules.hardFrostAirC,
  )
}

/** After the ice, too cold for ordinary strains. */
function coldBacteriaDays(water: readonly WaterDay[], rules: SeasonRules, clock: SeasonClock): boolean[] {
  const iceOut = iceOutDay(water, clock)
  const warm = staysFrom(0, clock.warmAt, (i) => trailing(water, i, 3) >= rules.bacteriaWaterC)
  return byDay((i) => i < warm && i >= iceOut && trailing(water, i, 3) >= rules.coldBacteriaFromC)
}

/** Warm enough for the bed to come back, and not while fish spawn as the water warms. */
function flushDays(water: readonly WaterDay[], rules: SeasonRules, { warmAt }: SeasonClock): boolean[] {
  const [low, high] = rules.spawningWaterC
  const spawning = (i: number) => i < warmAt && trailing(water, i, 3) >= low && trailing(water, i, 3) <= high
  return byDay((i) => trailing(water, i, WEEK) >= rules.flushWaterC && !spawning(i))
}

function aroundLeafFall(
  weather: readonly WeatherDay[],
  { latitudeDeg, firstDay }: SeasonClock,
  rules: SeasonRules,
  from: number,
  to: number,
): boolean[] {
  const fall = leafFallDay(weather, latitudeDeg, rules.leafFallChill, firstDay)
  return byDay((i) => i + 1 >= fall + from && i + 1 <= fall + to)
}

function shutdownDays({ weather, water }: PossibleYear, rules: SeasonRules, clock: SeasonClock): boolean[] {
  const cold = cooledBelow(water, rules.shutdownWaterC, 5, clock)
  const freeze = weather.findIndex((d, i) => i > clock.warmAt && cold[i] && d.minAirC <= rules.hardFrostAirC)
  return byDay((i) => cold[i]! && (freeze === -1 || i < freeze))
}
