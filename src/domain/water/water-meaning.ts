import { VISIT_ONLY_READINGS, type ReadingKindName, type WaterBand } from '../../core/water/readings'
import { verdictOfLatest, type DatedReading } from '../../core/water/verdict'
import { inOrder, type StepState } from '../visits/visit-progress'

export interface WaterMeaning {
  readonly kind: ReadingKindName
  /** Value in the first and the last test of the visit. */
  readonly before: number | null
  readonly after: number
  /** The last test saw nothing: less than its first step. */
  readonly noneFound: boolean
  readonly band: WaterBand
  /** Ammonia's toxic share, mg/L; null for other readings, and where pH or temperature was not tested on the visit. */
  readonly nh3MgL: number | null
  /** What should have been tested to judge ammonia. */
  readonly missing: readonly ReadingKindName[]
}

/** The visit's tests of the pond so far, in the order in which they were taken. */
export function visitTests(states: ReadonlyMap<string, StepState>): DatedReading[] {
  const entries = inOrder(
    [...states.values()].flatMap((state) =>
      state.status === 'done' && state.entry.answer.readings ? [state.entry] : [],
    ),
  )
  return entries.flatMap((entry) =>
    (Object.entries(entry.answer.readings!) as [ReadingKindName, { value: number; belowStep: boolean }][])
      .filter(([kind]) => !VISIT_ONLY_READINGS.includes(kind))
      .map(([kind, reading]) => ({ kind, ...reading, takenAt: entry.at })),
  )
}

/** What the visit's tests mean, kind by kind: before and after are told apart by when they were taken. */
export function judgeWater(states: ReadonlyMap<string, StepState>): WaterMeaning[] {
  const tests = visitTests(states)
  const verdict = verdictOfLatest(tests)
  return [...new Set(tests.map((test) => test.kind))].map((kind) => {
    const own = tests.filter((test) => test.kind === kind)
    const last = own[own.length - 1]!
    return {
      kind,
      before: own.length > 1 ? own[0]!.value : null,
      after: last.value,
      noneFound: last.belowStep ?? false,
      band: verdict.bands[kind] ?? 'fine',
      nh3MgL: kind === 'tan' ? verdict.nh3MgL : null,
      missing: kind === 'tan' ? verdict.missing : [],
    }
  })
}
