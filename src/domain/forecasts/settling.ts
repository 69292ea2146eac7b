import { bandOf, SHOWN_OUTPUTS, type MemberRun } from '../../core/ecosystem/comparison/comparison'
import { settledDay } from '../../core/ecosystem/settling'
import { quantileOfSorted } from '../../core/statistics/quantile'
import { addDays, daysBetween } from '../../core/numeric/calendar'
import type { DayTest } from '../diagnosis/diagnosis-check'
import { newOption, type WhatIfInput } from './what-if'
import { recordOf } from '../../core/numeric/record-of'

/** What a filter recovers from. */
export const SETTLING_KINDS = ['new-filter', 'outage', 'sterile-clean'] as const
export type SettlingKind = (typeof SETTLING_KINDS)[number]

/** What happened, and when. */
export interface Settling {
  readonly kind: SettlingKind
  readonly on: string
  /** Of an outage. */
  readonly hours: number
  /** Mature media were brought with a new filter, or after the others. */
  readonly seeded: boolean
}

export const OUTAGE_HOURS = [1, 240] as const
/** Days before an outage or a clean that are shown with it. */
const BEFORE_DAYS = 5
const DAYS = { 'new-filter': 90, outage: 60, 'sterile-clean': 60 } as const
const SEEDED = { share: 0.1, afterDays: 1 } as const
export const SETTLING_MEMBERS = 40

/** The runs behind an expectation: the pond as it is, with what happened to it. */
export function settlingRuns({ kind, on, hours, seeded }: Settling): WhatIfInput {
  const before = kind === 'new-filter' ? 0 : BEFORE_DAYS
  const whatHappens = (): WhatIfInput['options'][number]['events'] => {
    if (kind === 'outage')
      return [
        { kind: 'pump', day: before, running: false },
        { kind: 'pump', day: before + hours / 24, running: true },
      ]
    if (kind === 'sterile-clean') return [{ kind: 'rinse-media', day: before, share: 1, water: 'tap' }]
    return []
  }
  const events: WhatIfInput['options'][number]['events'] = whatHappens()
  const end = before + (kind === 'outage' ? hours / 24 : 0)
  return {
    name: kind,
    from: addDays(on, -before),
    days: DAYS[kind],
    start: kind === 'new-filter' ? 'new' : 'settled',
    members: SETTLING_MEMBERS,
    options: [
      newOption('Expected', {
        events: seeded
          ? [...events, { kind: 'seed-bacteria', day: Math.ceil(end + SEEDED.afterDays), share: SEEDED.share }]
          : events,
      }),
    ],
  }
}

/** Tests that tell how far a filter has come. */
export const SETTLING_TESTS = ['tan', 'nitrite'] as const
type SettlingTest = (typeof SETTLING_TESTS)[number]

interface TestAgainst {
  readonly kind: SettlingTest
  readonly day: string
  readonly value: number
  /** 10 and 90 % of what was expected that day. */
  readonly from: number
  readonly to: number
  readonly is: 'as-expected' | 'higher' | 'lower'
}

export interface Expectation {
  /** Week by week from the first day on: what a test should show. */
  readonly weeks: readonly {
    readonly day: string
    readonly bands: Readonly<
      Record<SettlingTest, { readonly from: number; readonly middle: number; readonly to: number }>
    >
  }[]
  /**
   * Days after it happened until ammonia and nitrite stay at a trace: 10, 50 and 90 % of the runs; null where most
   * never get there.
   */
  readonly settled: { readonly soonest: number; readonly middle: number; readonly latest: number | null } | null
  readonly tests: readonly TestAgainst[]
}

/** A test reads to a step: what lies so close to the band lies in it, mg/L. */
const STEP = 0.1

/** What tests should show after something happened, and what they did show. */
export function expectation(
  settling: Settling,
  runs: readonly Pick<MemberRun, 'daily'>[],
  tests: readonly DayTest[],
): Expectation {
  const { from, days } = settlingRuns(settling)
  const bands = recordOf(SETTLING_TESTS, (test) => bandOf(runs, test, days))
  const at = (test: SettlingTest, d: number) => ({
    from: bands[test].p10[d]!,
    middle: bands[test].p50[d]!,
    to: bands[test].p90[d]!,
  })
  const first = daysBetween(from, settling.on)
  return {
    weeks: Array.from({ length: Math.floor((days - 1 - first) / 7) + 1 }, (_, w) => {
      const d = first + 7 * w
      return { day: addDays(from, d), bands: { tan: at('tan', d), nitrite: at('nitrite', d) } }
    }),
    settled: settledDays(runs, days, first),
    tests: tests.flatMap((t): TestAgainst[] => {
      const kind = SETTLING_TESTS.find((k) => k === t.kind)
      const d = daysBetween(from, t.day)
      if (!kind || d < first || d >= days) return []
      const band = at(kind, d)
      const compared = () => {
        if (t.value > band.to + STEP) return 'higher'
        if (t.value < band.from - STEP) return 'lower'
        return 'as-expected'
      }
      const is = compared()
      return [{ kind, day: t.day, value: t.value, from: band.from, to: band.to, is }]
    }),
  }
}

function settledDays(runs: readonly Pick<MemberRun, 'daily'>[], days: number, first: number): Expectation['settled'] {
  const of = (run: Pick<MemberRun, 'daily'>, output: SettlingTest) => {
    const at = SHOWN_OUTPUTS.indexOf(output) * days
    return run.daily.subarray(at + first, at + days)
  }
  const left = days - first
  const sorted = runs.map((run) => settledDay(of(run, 'tan'), of(run, 'nitrite'))).sort((a, b) => a - b)
  const at = (share: number) => Math.round(quantileOfSorted(sorted, share))
  const [soonest, middle, latest] = [at(0.1), at(0.5), at(0.9)]
  return middle >= left ? null : { soonest, middle, latest: latest >= left ? null : latest }
}
