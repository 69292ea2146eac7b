import { bandOf, ComparisonRunner, SHOWN_OUTPUTS, type Comparison } from './comparison'
import { clearlyBetter, compareMeasure, measuresOf, middle } from '../measures'
import { OUTPUT_NAMES, type Series } from '../outputs'
import { SAMPLE_POND, SAMPLE_STATION } from '../trials/sample-pond'

const known = { today: '2027-04-10', observed: [], forecast: [] }
const COMPARISON: Comparison = {
  pond: SAMPLE_POND,
  station: SAMPLE_STATION,
  known,
  from: '2027-04-10',
  days: 70,
  scenarios: [
    { pond: SAMPLE_POND, events: [{ day: 10, kind: 'rinse-media', share: 1, water: 'tap' }] },
    {
      pond: SAMPLE_POND,
      events: [
        { day: 10, kind: 'rinse-media', share: 0.5, water: 'pond' },
        { day: 31, kind: 'rinse-media', share: 0.5, water: 'pond' },
      ],
    },
  ],
  start: 'settled',
  water: { tan: 0.2 },
  seed: 5,
}

describe('a comparison', () => {
  const runner = new ComparisonRunner(COMPARISON)
  const members = Array.from({ length: 12 }, (_, i) => runner.member(i))
  const runsOf = (scenario: number) => members.map((m) => m[scenario]!)

  it('finds that stages beat one overhaul in nearly all members', () => {
    const [once, staged] = [0, 1].map((s) => runsOf(s).map((r) => r!.measures))
    const tan = compareMeasure(once!, staged!, 'peakTan')
    expect(tan).toMatchObject({ of: 12, same: 0 })
    expect(tan.secondBetter).toBeGreaterThanOrEqual(11)
    expect(clearlyBetter(tan)).toBe('second')
    expect(tan.first).toBeGreaterThan(1.3 * tan.second)
    expect(compareMeasure(staged!, once!, 'peakTan').secondBetter).toBeLessThanOrEqual(1)
    expect(compareMeasure(once!, once!, 'peakTan')).toMatchObject({ secondBetter: 0, firstBetter: 0, same: 12 })
    expect(clearlyBetter(compareMeasure(once!, once!, 'peakTan'))).toBeNull()
  })

  it('starts every scenario of a member from the same water, as it was read', () => {
    for (const [once, staged] of members) {
      const at = SHOWN_OUTPUTS.indexOf('tan') * COMPARISON.days
      expect(once!.daily[at]).toBe(staged!.daily[at])
      expect(once!.daily[at]).toBeCloseTo(0.2, 1)
    }
  })

  it('gives bands in order, wider with more to know', () => {
    const { p10, p50, p90 } = bandOf(runsOf(0), 'tan', COMPARISON.days)
    expect(p50).toHaveLength(COMPARISON.days)
    p50.forEach((m, d) => {
      expect(p10[d]).toBeLessThanOrEqual(m)
      expect(p90[d]).toBeGreaterThanOrEqual(m)
    })
    expect(p90[25]! - p10[25]!).toBeGreaterThan(p90[0]! - p10[0]!)
  })

  it('makes the same member again, whoever makes it', () => {
    expect(new ComparisonRunner(COMPARISON).member(3)[0]!.daily).toEqual(members[3]![0]!.daily)
    expect(members[4]![0]!.daily).not.toEqual(members[3]![0]!.daily)
  })

  it('closes its budgets and accounts for what was rinsed out', () => {
    for (const run of runsOf(0)) {
      expect(run!.nitrogen.error).toBeLessThan(1e-3)
      expect(run!.nitrogen.out.takenOut).toBeGreaterThan(0)
    }
  })

  it('begins a new pond without a past', () => {
    const fresh = new ComparisonRunner({
      ...COMPARISON,
      start: 'new',
      water: {},
      scenarios: [{ pond: SAMPLE_POND, events: [] }],
    }).member(0)
    expect(fresh[0]!.measures.leastBacteria).toBeLessThan(0.01)
  })
})

describe('the measures of a run', () => {
  const flat = (changes: Partial<Record<keyof Series, number[]>>): Series =>
    Object.fromEntries(
      OUTPUT_NAMES.map((name) => [
        name,
        Float64Array.from(
          changes[name] ??
            Array.from({ length: 10 }, () => {
              if (name === 'oxygen') return 8
              if (name === 'clarityM') return 1
              return 0
            }),
        ),
      ]),
    ) as unknown as Series

  it('counts the days that harm, and those that are murky', () => {
    const m = measuresOf(
      flat({
        nitrite: [0, 0.6, 0.6, 0, 0, 0, 0, 0, 0, 0],
        oxygen: [8, 4, 8, 8, 8, 8, 4, 8, 8, 8],
        clarityM: [0.3, 0.3, 0.5, 1, 1, 1, 1, 1, 1, 1],
      }),
    )
    expect(m.harmDays).toBe(3)
    expect(m.murkyDays).toBe(2)
    expect(m.clearDay).toBe(3)
    expect(m.peakNitriteDay).toBe(1)
  })
  it('says that water never cleared by the length of the run', () =>
    expect(measuresOf(flat({ clarityM: [1, 1, 1, 1, 0.2, 1, 1, 1, 1, 0.1] })).clearDay).toBe(10))
  it('has a middle of odd and even lists', () => {
    expect(middle([3, 1, 2])).toBe(2)
    expect(middle([4, 1, 2, 3])).toBe(2.5)
  })
})
