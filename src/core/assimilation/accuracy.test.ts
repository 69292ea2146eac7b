import { accuracyOf, reliabilityOf, type ScoreSums } from './accuracy'

const sums = (cluster: string, over: Partial<ScoreSums> = {}): ScoreSums => ({
  kind: 'tan',
  lead: 'near',
  cluster,
  pondId: cluster,
  tests: 3,
  inside: 2,
  missed: 0.3,
  overLast: { tests: 3, forecast: 1, other: 2 },
  overUsual: { tests: 0, forecast: 0, other: 0 },
  ...over,
})

describe('how far forecasts can be believed', () => {
  it('is the share of the other’s error that they avoid, with an interval', () => {
    const [one, ...rest] = accuracyOf(['a', 'b', 'c', 'd', 'e'].map((c) => sums(c)))
    expect(rest).toEqual([])
    expect(one).toMatchObject({ kind: 'tan', lead: 'near', tests: 15, ponds: 5, overUsual: null })
    expect(one!.missed).toBeCloseTo(0.1, 12)
    expect(one!.overLast).toEqual({ value: 0.5, low: 0.5, high: 0.5 })
    expect(one!.inside.value).toBeCloseTo(2 / 3, 12)
  })
  it('is not told from a handful of tests, nor from many of one pond on one day', () => {
    expect(accuracyOf([sums('a'), sums('b')])[0]!.overLast).toBeNull()
    const crowd = sums('a', { tests: 40, overLast: { tests: 40, forecast: 10, other: 20 } })
    expect(accuracyOf([crowd])[0]!.overLast).toBeNull()
  })
  it('is the less sure the more the ponds differ', () => {
    const differing = ['a', 'b', 'c', 'd', 'e', 'f'].map((c, i) =>
      sums(c, { overLast: { tests: 3, forecast: i % 2 ? 0.2 : 2.8, other: 2 } }),
    )
    const { value, low, high } = accuracyOf(differing)[0]!.overLast!
    expect(low).toBeLessThan(value)
    expect(high).toBeGreaterThan(value)
    expect(high - low).toBeGreaterThan(0.3)
  })
  it('leads are never lumped together', () => {
    expect(accuracyOf([sums('a'), sums('a', { lead: 'far' })]).map((a) => a.lead)).toEqual(['near', 'far'])
  })
})

describe('whether what was said to be likely came true', () => {
  it('is told for every band of what was said, also where no test tells', () => {
    const told = reliabilityOf([{ from: 0.8, tests: 10, crossed: 9 }])
    expect(told.map((t) => t.from)).toEqual([0, 0.2, 0.5, 0.8])
    expect(told[3]).toMatchObject({ tests: 10, crossed: 9 })
    expect(told[3]!.share!.value).toBeCloseTo(0.9, 12)
    expect(told[1]).toMatchObject({ tests: 0, share: null })
  })
})
