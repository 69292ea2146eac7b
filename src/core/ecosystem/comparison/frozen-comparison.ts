import { bandOf, type Band, type Comparison, ComparisonRunner, type MemberRun } from './comparison'
import type { Measures } from '../measures'

/** What is kept of a comparison that somebody else will read: enough for its picture of the water and its verdict. */
export interface FrozenComparison {
  readonly from: string
  readonly days: number
  readonly options: readonly FrozenOption[]
}

interface FrozenOption {
  readonly clarity: Band
  /** One member after the other, the same members in every way. */
  readonly measures: readonly Measures[]
}

/** Figures that are kept are read, not computed with: millimetres of clarity. */
const rounded = (band: Band): Band => {
  const to = (values: readonly number[]) => values.map((v) => Number(v.toFixed(3)))
  return { p10: to(band.p10), p50: to(band.p50), p90: to(band.p90) }
}

/** Runs so many members and keeps what is read. */
export function freezeComparison(comparison: Comparison, members: number): FrozenComparison {
  const runner = new ComparisonRunner(comparison)
  const runs: MemberRun[][] = Array.from({ length: members }, (_, member) => runner.member(member))
  return {
    from: comparison.from,
    days: comparison.days,
    options: comparison.scenarios.map((_, s) => ({
      clarity: rounded(
        bandOf(
          runs.map((r) => r[s]!),
          'clarityM',
          comparison.days,
        ),
      ),
      measures: runs.map((r) => r[s]!.measures),
    })),
  }
}
