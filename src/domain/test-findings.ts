import type { FindingKey } from '../core/diagnosis/findings'
import { ammoniaBand, ammoniaFraction } from '../core/water/ammonia'
import type { ReadingKindName } from '../core/water/readings'

type Values = Readonly<Partial<Record<ReadingKindName, number>>>

/** A finding that tests settle by themselves. */
interface TestFinding {
  readonly finding: FindingKey
  /** Tests it takes, the one that names its day first. */
  readonly kinds: readonly [ReadingKindName, ...ReadingKindName[]]
  readonly holds: (values: Required<Values>) => boolean
}

const below = (finding: FindingKey, kind: ReadingKindName, edge: number): TestFinding => ({ finding, kinds: [kind], holds: (v) => v[kind] < edge })
const above = (finding: FindingKey, kind: ReadingKindName, edge: number): TestFinding => ({ finding, kinds: [kind], holds: (v) => v[kind] > edge })

/** The edges are those that the findings' own questions name. */
export const TEST_FINDINGS: readonly TestFinding[] = [
  below('oxygen-low', 'dissolvedOxygen', 5),
  above('nitrite-high', 'nitrite', 0.5),
  below('nitrate-low', 'nitrate', 1),
  above('ph-high', 'ph', 8.8),
  below('kh-low', 'kh', 2),
  above('sludge-deep', 'sludgeDepth', 0.05),
  below('water-cold', 'waterTemp', 12),
  {
    finding: 'ammonia-high',
    kinds: ['tan', 'ph', 'waterTemp'],
    holds: ({ tan, ph, waterTemp }) => ['act', 'emergency'].includes(ammoniaBand(tan * ammoniaFraction(ph, waterTemp))),
  },
]

/** Whether a finding holds by these values; undefined while one of its tests is missing. */
export function settledBy({ kinds, holds }: TestFinding, values: Values): boolean | undefined {
  return kinds.every((kind) => values[kind] !== undefined) ? holds(values as Required<Values>) : undefined
}
