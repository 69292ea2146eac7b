import type { SeasonRules, WindowJob } from './house-rules'
import type { PossibleYear, SeasonClock } from './possible-year'

type DaysOf = (year: PossibleYear) => (day: number) => boolean

/**
 * 'span': the days on which a job may be done. 'turn': the day from which something has come to pass, -1 where it does
 * not, and the day up to which that counts.
 */
export type WindowRule =
  | {
      readonly kind: 'span'
      readonly holds: DaysOf
      /** Where those days hardly ever come. */
      readonly otherwise?: DaysOf
    }
  | { readonly kind: 'turn'; readonly on: (year: PossibleYear) => number; readonly until: number }

export const DAYS = 365
/** What goes by warmth or rain alone; everything else by the turn of the year, and by need where there is none. */
const WITHOUT_SEASONS: readonly WindowJob[] = ['wetland-flush', 'high-summer']
const WEEK = 7
const FORTNIGHT = 14
/** Where water never falls to a cleanout's cold, the coolest weeks are those so near to the coldest, °C. */
const COOLEST_WITHIN_C = 2.5 // house default

/** The first day from which a test holds and stays until a day: the warm turn for spring, the year's end for autumn. */
function staysFrom(from: number, to: number, test: (i: number) => boolean): number {
  let last = to
  for (let i = to - 1; i >= from && test(i); i--) last = i
  return last
}

/** The day of a turn. What holds from the very first day has not turned: nothing is to be done for it. */
function turned(from: number, to: number, test: (i: number) => boolean): number {
  const at = staysFrom(from, to, test)
  return at > from && at < to ? at : -1
}

const never = () => false

/**
 * When a job may be done, by the house rules.
 * @returns null where the house rules have no such job, or the year no seasons that it would go by
 */
// eslint-disable-next-line max-lines-per-function -- one case for each job
export function windowRule(job: WindowJob, rules: SeasonRules, clock: SeasonClock): WindowRule | null {
  const { warmAt, turns } = clock
  if (!turns && !WITHOUT_SEASONS.includes(job)) return null
  /** Spring water that has reached a temperature for good, by its mean over some days. */
  const warmedTo = (waterC: number): WindowRule => ({
    kind: 'turn',
    until: warmAt,
    on: (year) => {
      const mean = year.meanC(3)
      return turned(0, warmAt, (i) => mean[i]! >= waterC)
    },
  })
  const cooledBelow = (waterC: number, days: number): WindowRule => ({
    kind: 'turn',
    until: DAYS,
    on: (year) => {
      const mean = year.meanC(days)
      return turned(warmAt, DAYS, (i) => mean[i]! < waterC)
    },
  })
  switch (job) {
    case 'spring-cleanout':
      return rules.spring === 'never-drain' ? null : { kind: 'span', holds: (year) => cleanoutDays(year, rules, clock) }
    case 'cold-bacteria':
      return rules.bacteria === 'regular'
        ? { kind: 'span', holds: (year) => coldBacteriaDays(year, rules, clock) }
        : null
    case 'bacteria':
      return rules.bacteria === 'regular' ? warmedTo(rules.bacteriaWaterC) : null
    case 'spring-startup':
      return {
        kind: 'turn',
        until: warmAt,
        on: (year) => {
          const mean = year.meanC(5)
          return turned(0, warmAt, (i) => mean[i]! >= rules.startupWaterC && year.weekOfNightsC(i) > 0)
        },
      }
    case 'dividing':
      return {
        kind: 'span',
        holds: (year) => {
          const mean = year.meanC(WEEK)
          return (i) =>
            i < warmAt && i >= year.iceOut && mean[i]! >= rules.startupWaterC && i + 1 < year.leafOut + 2 * WEEK
        },
      }
    case 'feeding-start':
      return warmedTo(rules.feedingStartWaterC)
    case 'feeding-normal':
      return warmedTo(rules.feedingNormalWaterC)
    case 'wetland-flush':
      return { kind: 'span', holds: (year) => flushDays(year, rules, clock) }
    case 'tender-planting':
      return {
        kind: 'turn',
        until: warmAt,
        on: (year) => {
          const lastFrost = year.weather.slice(0, warmAt).findLastIndex((d) => d.minAirC <= 0)
          const mean = year.meanC(3)
          return turned(0, warmAt, (i) => i > lastFrost && mean[i]! >= rules.tenderPlantsWaterC)
        },
      }
    case 'high-summer':
      return {
        kind: 'span',
        holds:
          ({ water }) =>
          (i) =>
            water[i]!.waterC >= rules.highSummerWaterC,
      }
    case 'shade-down':
      return cooledBelow(rules.shadeDownWaterC, WEEK)
    case 'feeding-stop':
      return cooledBelow(rules.feedingStopWaterC, 3)
    case 'cut-back':
      return {
        kind: 'turn',
        until: DAYS,
        on: ({ weather }) => weather.findIndex((d, i) => i >= warmAt && d.minAirC <= rules.killingFrostAirC),
      }
    case 'netting': {
      const [lead, close] = rules.nettingLeadDays
      return { kind: 'span', holds: (year) => aroundLeafFall(year, -lead, -close) }
    }
    case 'netting-off': {
      const [bare, latest] = rules.nettingOffDays
      return { kind: 'span', holds: (year) => aroundLeafFall(year, bare, latest) }
    }
    case 'winter-shutdown':
      return rules.winter === 'shutdown'
        ? {
            kind: 'span',
            holds: (year) => shutdownDays(year, rules, clock),
            otherwise: (year) => beforeFreeze(year, rules, clock),
          }
        : null
    case 'deicer-on': {
      const [from, to] = rules.deicerLeadDays
      return {
        kind: 'span',
        holds:
          ({ firstIce }) =>
          (i) =>
            i >= firstIce - from && i <= firstIce - to,
      }
    }
    case 'winter-running':
      return rules.winter === 'run-on'
        ? { kind: 'turn', until: DAYS, on: ({ firstIce }) => (firstIce < DAYS ? firstIce : -1) }
        : null
  }
}

function cleanoutDays(year: PossibleYear, rules: SeasonRules, { warmAt }: SeasonClock): (i: number) => boolean {
  const { water, weather, leafOut, iceOut } = year
  const [low, high] = rules.cleanoutWaterC
  const fortnight = year.meanC(FORTNIGHT)
  const coldestC = Math.min(...fortnight.subarray(0, warmAt))
  // no cold to wait for: the weeks about the cold turn are easiest on fish and plants
  if (coldestC > high) return (i) => i < warmAt && fortnight[i]! <= coldestC + COOLEST_WITHIN_C
  return (i) =>
    i < warmAt &&
    i >= iceOut &&
    i + 1 < leafOut &&
    water[i]!.waterC >= low &&
    water[i]!.waterC <= high &&
    weather[i]!.minAirC > rules.hardFrostAirC
}

/** After the ice, too cold for ordinary strains. */
function coldBacteriaDays(year: PossibleYear, rules: SeasonRules, { warmAt }: SeasonClock): (i: number) => boolean {
  const { iceOut } = year
  const [mean, week] = [year.meanC(3), year.meanC(WEEK)]
  const warm = staysFrom(0, warmAt, (i) => mean[i]! >= rules.bacteriaWaterC)
  return (i) => i < warm && i >= iceOut && mean[i]! >= rules.coldBacteriaFromC && week[i]! < rules.bacteriaWaterC
}

/** Warm enough for the bed to come back, and not while fish spawn as the water warms. */
function flushDays(year: PossibleYear, rules: SeasonRules, { warmAt }: SeasonClock): (i: number) => boolean {
  const [low, high] = rules.spawningWaterC
  const [mean, week] = [year.meanC(3), year.meanC(WEEK)]
  const spawning = (i: number) => i < warmAt && mean[i]! >= low && mean[i]! <= high
  return (i) => week[i]! >= rules.flushWaterC && !spawning(i)
}

function aroundLeafFall({ leafFall }: PossibleYear, from: number, to: number): (i: number) => boolean {
  return (i) => i + 1 >= leafFall + from && i + 1 <= leafFall + to
}

/** Between cold water and the first hard frost. */
function shutdownDays(year: PossibleYear, rules: SeasonRules, { warmAt }: SeasonClock): (i: number) => boolean {
  const mean = year.meanC(5)
  const cold = turned(warmAt, DAYS, (i) => mean[i]! < rules.shutdownWaterC)
  if (cold < 0) return never
  const freeze = year.weather.findIndex((d, i) => i >= cold && d.minAirC <= rules.hardFrostAirC)
  return (i) => i >= cold && (freeze === -1 || i < freeze)
}

/** The fortnight before the first hard frost or ice: where that comes before the water is cold. */
function beforeFreeze({ weather, firstIce }: PossibleYear, rules: SeasonRules, { warmAt }: SeasonClock) {
  const frost = weather.findIndex((d, i) => i > warmAt && d.minAirC <= rules.hardFrostAirC)
  const freeze = Math.min(firstIce, frost === -1 ? Infinity : frost)
  return (i: number) => i >= freeze - FORTNIGHT && i < freeze
}
