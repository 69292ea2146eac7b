import type { ReadingKindName } from '../water/readings'
import { waterVerdict } from '../water/verdict'
import type { FindingKey, Findings } from './findings'

type Values = Readonly<Partial<Record<ReadingKindName, number>>>

/** A finding that tests settle by themselves. */
interface TestFinding {
  readonly finding: FindingKey
  /** Tests it takes, the one that names its day first. */
  readonly kinds: readonly [ReadingKindName, ...ReadingKindName[]]
  /** Tests that sharpen it where they are there. */
  readonly alsoKinds?: readonly ReadingKindName[]
  readonly holds: (values: Required<Values>) => boolean
}

const below = (finding: FindingKey, kind: ReadingKindName, edge: number): TestFinding => ({
  finding,
  kinds: [kind],
  holds: (v) => v[kind] < edge,
})
const above = (finding: FindingKey, kind: ReadingKindName, edge: number): TestFinding => ({
  finding,
  kinds: [kind],
  holds: (v) => v[kind] > edge,
})

/** The edges are those that the findings' own questions name. */
export const TEST_FINDINGS: readonly TestFinding[] = [
  below('oxygen-low', 'dissolvedOxygen', 5),
  above('nitrite-high', 'nitrite', 0.5),
  below('nitrate-low', 'nitrate', 1),
  above('nitrate-high', 'nitrate', 50),
  above('phosphate-high', 'orthophosphate', 0.5),
  above('ph-high', 'ph', 8.8),
  below('ph-low', 'ph', 6.5),
  below('kh-low', 'kh', 2),
  below('gh-low', 'gh', 3),
  above('chlorine-found', 'freeChlorine', 0.02),
  above('salt-high', 'salinity', 0.0015),
  above('sludge-deep', 'sludgeDepth', 0.05),
  below('water-cold', 'waterTemp', 12),
  {
    finding: 'ammonia-high',
    kinds: ['tan'],
    alsoKinds: ['ph', 'waterTemp'],
    holds: ({ tan, ph, waterTemp }) =>
      ['act', 'emergency'].includes(waterVerdict({ tan, ph, waterTemp }).bands.tan ?? 'fine'),
  },
]

/** All tests a finding goes by. */
export const testsOf = ({ kinds, alsoKinds = [] }: TestFinding): readonly ReadingKindName[] => [...kinds, ...alsoKinds]

/**
 * Whether a finding holds by these values; undefined while a test that it takes is missing. With only some of the
 * sharpening tests
 * it can be found, but not be ruled out.
 */
export function settledBy(rule: TestFinding, values: Values): boolean | undefined {
  if (rule.kinds.some((kind) => values[kind] === undefined)) return undefined
  const found = rule.holds(values as Required<Values>)
  return found || testsOf(rule).every((kind) => values[kind] !== undefined) ? found : undefined
}

/** All that tests of one water settle, canonical units. */
export const findingsByTests = (values: Values): Findings =>
  Object.fromEntries(
    TEST_FINDINGS.flatMap((rule) => {
      const found = settledBy(rule, values)
      return found === undefined ? [] : [[rule.finding, found]]
    }),
  )
