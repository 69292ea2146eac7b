import type { FindingKey, Findings } from '../../core/diagnosis/findings'
import { CLEAR_M } from '../../core/ecosystem/measures'
import { seenToFloor } from '../../core/assimilation/observed'
import type { ReadingKindName } from '../../core/water/readings'
import type { DiagnosisOutcome } from './diagnosis'
import { settledBy, TEST_FINDINGS, testsOf } from '../../core/diagnosis/test-findings'

/** One test of the pond on one day. */
export interface DayTest {
  readonly day: string
  readonly kind: string
  readonly value: number
}

/** Something that was wrong when the diagnosis was made, and how tests since then find it. */
export interface CheckLine {
  /** The finding, or 'clarity' for water that could not be seen through. */
  readonly what: FindingKey | 'clarity'
  /** null: not tested since. */
  readonly stillSo: boolean | null
  readonly on: string | null
  /** What would tell. */
  readonly tests: readonly ReadingKindName[]
  /** Value of the first of the tests before and since, where there is one. */
  readonly before: number | null
  readonly since: number | null
}

export interface DiagnosisCheck {
  readonly lines: readonly CheckLine[]
  /** What the tests say came of it; null while they say nothing. */
  readonly verdict: DiagnosisOutcome | null
}

/** Water that the eye does not get through: how deep a hand is seen tells whether it mends. */
const MURKY: readonly FindingKey[] = ['water-green', 'water-brown', 'water-muddy', 'water-milky']
/** Seeing half as deep again is a change, even where it is not clear yet. */
const MENDING = 1.5

/**
 * A diagnosis held against what was tested after it was made. Tests of the day itself are what it was made from.
 * @param tests of the pond, at most one a day and kind
 * @param deepestM the pond's deepest water, m: one that is seen to its floor is clear, however shallow
 */
export function checkDiagnosis(
  { findings, madeOn }: { readonly findings: Findings; readonly madeOn: string },
  tests: readonly DayTest[],
  deepestM: number,
): DiagnosisCheck {
  const murky = ({ value }: DayTest) => value < CLEAR_M && !seenToFloor(value, deepestM)
  const newest = (kind: ReadingKindName, after: boolean) =>
    tests
      .filter((t) => t.kind === kind && (after ? t.day > madeOn : t.day <= madeOn))
      .reduce<DayTest | null>((a, t) => (a && a.day >= t.day ? a : t), null)
  const lines: CheckLine[] = TEST_FINDINGS.filter(({ finding }) => findings[finding] === true).map((rule) => {
    const since = testsOf(rule).map((kind) => newest(kind, true))
    const settled = settledBy(rule, Object.fromEntries(since.flatMap((t) => (t ? [[t.kind, t.value]] : []))))
    return {
      what: rule.finding,
      stillSo: settled ?? null,
      on: since[0]?.day ?? null,
      tests: testsOf(rule),
      before: newest(rule.kinds[0], false)?.value ?? null,
      since: since[0]?.value ?? null,
    }
  })
  const mending: boolean[] = []
  if (MURKY.some((finding) => findings[finding] === true)) {
    const [before, since] = [newest('clarityDepth', false), newest('clarityDepth', true)]
    lines.push({
      what: 'clarity',
      stillSo: since ? murky(since) : null,
      on: since?.day ?? null,
      tests: ['clarityDepth'],
      before: before?.value ?? null,
      since: since?.value ?? null,
    })
    if (before && since && murky(since)) mending.push(since.value >= MENDING * before.value)
  }
  return { lines, verdict: verdictOf(lines, mending.includes(true)) }
}

function verdictOf(lines: readonly CheckLine[], mending: boolean): DiagnosisOutcome | null {
  const told = lines.filter((line) => line.stillSo !== null)
  if (told.length === 0) return null
  const bad = told.filter((line) => line.stillSo === true).length
  if (bad === 0) return told.length === lines.length ? 'better' : 'partly'
  return bad < told.length || mending ? 'partly' : 'not'
}
