import { quantileOfSorted } from '../statistics/quantile'
import { seededRandom } from '../numeric/random'
import { shareOf, type Estimate } from '../statistics/wilson'
import { LEAD_KEYS, type Lead } from './leads'
import { SCORED_KINDS, type ScoredKind } from './scored'

/** Scores of one kind and lead that hang together: of one pond, or of one day at one pond where ponds are few. */
export interface ScoreSums {
  readonly kind: ScoredKind
  readonly lead: Lead
  readonly cluster: string
  readonly pondId: string
  readonly tests: number
  /** Tests inside the forecast's 10 to 90 %. */
  readonly inside: number
  /** Sum of how far the middle was off, in the reading's unit. */
  readonly missed: number
  /** Sums of misfits over the tests that have a last reading, and over those that have a usual one. */
  readonly overLast: Pair
  readonly overUsual: Pair
}
interface Pair {
  readonly tests: number
  readonly forecast: number
  readonly other: number
}

/** How forecasts of one kind did so far ahead. */
export interface Accuracy {
  readonly kind: ScoredKind
  readonly lead: Lead
  readonly tests: number
  readonly ponds: number
  /** Mean distance of the forecast's middle from the test, in the reading's unit. */
  readonly missed: number
  /** Share of the tests inside the 10 to 90 % band: 0.8 where the band says what it holds. */
  readonly inside: Estimate
  /** Share of the other's error that the forecast avoids; null while too few tests tell. */
  readonly overLast: Estimate | null
  readonly overUsual: Estimate | null
}

/** Fewer tests, or tests from fewer days, tell nothing. */
const MIN_TESTS = 8
const MIN_CLUSTERS = 4
const RESAMPLES = 400
/** Share of the resamples that the interval holds. */
const HELD = 0.9
const SEED = 77_003

/**
 * How forecasts did, by kind and lead.
 * @param usual sums for the comparison with the season's usual, where fewer ponds have one
 * @returns intervals of 90 %: Wilson for shares; for skill the bootstrap over clusters, since tests of one pond err
 * alike
 * @source Wilson 1927; Efron & Tibshirani 1993
 */
export function accuracyOf(sums: readonly ScoreSums[], usual = sums): Accuracy[] {
  return SCORED_KINDS.flatMap((kind) =>
    LEAD_KEYS.flatMap((lead): Accuracy[] => {
      const ofThis = (s: ScoreSums) => s.kind === kind && s.lead === lead
      const own = sums.filter(ofThis)
      const tests = total(own, (s) => s.tests)
      if (tests === 0) return []
      return [
        {
          kind,
          lead,
          tests,
          ponds: new Set(own.map((s) => s.pondId)).size,
          missed: total(own, (s) => s.missed) / tests,
          inside: shareOf(
            total(own, (s) => s.inside),
            tests,
          ),
          overLast: skillOf(own.map((s) => s.overLast)),
          overUsual: skillOf(usual.filter(ofThis).map((s) => s.overUsual)),
        },
      ]
    }),
  )
}

function skillOf(all: readonly Pair[]): Estimate | null {
  const pairs = all.filter((p) => p.tests > 0)
  const other = total(pairs, (p) => p.other)
  if (pairs.length < MIN_CLUSTERS || total(pairs, (p) => p.tests) < MIN_TESTS || other === 0) return null
  const random = seededRandom(SEED)
  const drawn = Array.from({ length: RESAMPLES }, () => {
    let [forecast, others] = [0, 0]
    for (let i = 0; i < pairs.length; i++) {
      const pair = pairs[Math.floor(random() * pairs.length)]!
      forecast += pair.forecast
      others += pair.other
    }
    return others > 0 ? 1 - forecast / others : 0
  }).sort((a, b) => a - b)
  return {
    value: 1 - total(pairs, (p) => p.forecast) / other,
    low: quantileOfSorted(drawn, (1 - HELD) / 2),
    high: quantileOfSorted(drawn, (1 + HELD) / 2),
  }
}

/** Bounds of what was said about a line being crossed, as shares of the runs. */
export const SAID = [0, 0.2, 0.5, 0.8] as const

/** Of the days on which so many of the runs were past a line: how many tests found it so. */
export interface Reliability {
  readonly from: number
  readonly tests: number
  readonly crossed: number
  /** null while no test tells. */
  readonly share: Estimate | null
}

/**
 * Whether what was said to be likely came true.
 * @param counts tests and crossings by the lower bound of what was said
 */
export function reliabilityOf(
  counts: readonly { readonly from: number; readonly tests: number; readonly crossed: number }[],
): Reliability[] {
  return SAID.map((from) => {
    const { tests, crossed } = counts.find((c) => c.from === from) ?? { tests: 0, crossed: 0 }
    return { from, tests, crossed, share: tests > 0 ? shareOf(crossed, tests) : null }
  })
}

const total = <T>(all: readonly T[], of: (each: T) => number): number => all.reduce((sum, each) => sum + of(each), 0)
