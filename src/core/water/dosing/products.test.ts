import fc from 'fast-check'
import { courseDays, DOSE_RULES, doseProblems, mixedTempC, productDose, type Product } from './products'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../../tests/fixtures/usual-in-words'

const product = (key: string): Product => USUAL_PRODUCTS_IN_WORDS.find((p) => p.key === key)!
const ask = (over: Partial<Parameters<typeof productDose>[1]> = {}) => ({
  volumeM3: 10,
  steps: 1,
  waterC: 12,
  recent: [],
  ...over,
})

describe('a dose by the label', () => {
  it('is rate × volume × what is to be brought about, against amounts worked out by hand', () => {
    // 10 m³ of tap water with 0.5 mg/L of chlorine: 7 g per gram of chlorine
    expect(productDose(product('thiosulfate'), ask({ steps: 0.5 })).exact).toBeCloseTo(35, 9)
    // 10 m³ by 2 °dH: 599.2 g of bicarbonate
    expect(productDose(product('bicarbonate'), ask({ steps: 2 })).exact).toBeCloseTo(599.2, 6)
    // 0.1 % of salt in 10 m³ is 10 kg
    expect(productDose(product('salt'), ask())).toMatchObject({ amount: 10_000, measures: 1 })
    // a rate by volume does not read the steps
    expect(productDose(product('culture'), ask({ steps: 9 })).exact).toBe(100)
  })
  it('salt of 2.07 m³ for 0.1 % is 2 kg, not half a 10 kg bag', () =>
    expect(productDose(product('salt'), ask({ volumeM3: 2.07 })).amount).toBe(2000))
  it('is rounded to what can be measured: half scoops up, whole tablets, grams on the scale', () => {
    expect(productDose(product('thiosulfate'), ask({ steps: 0.5 }))).toMatchObject({ amount: 37.5, measures: 2.5 })
    expect(productDose(product('bicarbonate'), ask({ steps: 2 })).amount).toBe(599)
    expect(productDose(product('tablets'), ask({ volumeM3: 5 })).amount).toBe(3)
    expect(productDose(product('bicarbonate'), ask({ steps: 0 }))).toMatchObject({ amount: 0, problems: [] })
  })
  it('never exceeds the label for the sake of a full scoop, and says when the label itself is exceeded', () => {
    const tiny = { ...product('binder'), rate: 20, mostPerM3: 24 }
    // 2 m³: 40 g exact, a scoop holds 50 g, the label allows 48 g
    expect(productDose(tiny, ask({ volumeM3: 2 }))).toMatchObject({ amount: 40, problems: [] })
    expect(productDose({ ...tiny, rate: 30 }, ask({ volumeM3: 2 })).problems).toMatchObject([
      { code: 'over-label', mostPerM3: 24 },
    ])
  })
  it.each([
    ['too cold', 'culture', { waterC: 6 }, { code: 'too-cold', fromC: 10 }],
    ['too warm', 'cold-culture', { waterC: 14 }, { code: 'too-warm', toC: 10 }],
    [
      'the same hour as a flocculant',
      'culture',
      { recent: [{ productKey: 'flocculant', purpose: 'flocculant' as const, hoursAgo: 1 }] },
      { code: 'too-close', hours: 24 },
    ],
  ])('speaks up when it is %s', (_, key, over, problem) =>
    expect(productDose(product(key), ask(over)).problems).toMatchObject([problem]),
  )
  it('says when the label would be exceeded in the least water that there may be', () => {
    const tight = { ...product('culture'), mostPerM3: 10 }
    const codes = (leastM3?: number) =>
      productDose(tight, ask({ volumeM3: 20, leastM3, waterC: null })).problems.map((p) => p.code)
    expect(codes(16)).toEqual(['over-label-of-least'])
    expect(codes(20)).toEqual([])
    expect(codes()).toEqual([])
  })
  it('says nothing where nothing is against it, or the temperature is not known', () => {
    expect(productDose(product('culture'), ask({ waterC: null })).problems).toEqual([])
    expect(
      productDose(
        product('culture'),
        ask({ recent: [{ productKey: 'flocculant', purpose: 'flocculant', hoursAgo: 30 }] }),
      ).problems,
    ).toEqual([])
    expect(productDose({ ...product('flocculant'), licence: true }, ask()).problems).toEqual([{ code: 'licence' }])
  })
  it('grows with the volume and stays within the label whenever the exact amount does', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...USUAL_PRODUCTS_IN_WORDS),
        fc.double({ min: 0.05, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (p, volumeM3, steps) => {
          const { amount, exact } = productDose(p, ask({ volumeM3, steps }))
          if (exact <= p.mostPerM3 * volumeM3) expect(amount).toBeLessThanOrEqual(p.mostPerM3 * volumeM3 * (1 + 1e-9))
          const { tolerance, roundUpOnly } = DOSE_RULES[p.purpose]
          // a gram of the scale is as near as it comes
          expect(amount).toBeGreaterThanOrEqual(exact * (1 - (roundUpOnly ? 1e-9 : tolerance)) - 1)
          expect(amount).toBeLessThanOrEqual(exact * (1 + tolerance) + 1)
          expect(productDose(p, ask({ volumeM3: volumeM3 * 2, steps })).exact).toBeCloseTo(exact * 2, 6)
        },
      ),
    ))
  it('the same product within its gap is a stop, and so is one over its course', () => {
    const binder = (hoursAgo: number) => ({ productKey: 'binder', purpose: 'binder' as const, hoursAgo })
    expect(productDose(product('binder'), ask({ recent: [binder(3)] })).problems).toMatchObject([
      { code: 'too-soon', hours: 24, hoursAgo: 3 },
    ])
    // a daily course is given at about the same hour
    expect(productDose(product('binder'), ask({ recent: [binder(20)] })).problems).toEqual([])
    const course = Array.from({ length: 7 }, (_, i) => binder((i + 1) * 23))
    expect(productDose(product('binder'), ask({ recent: course })).problems).toMatchObject([
      { code: 'course-over', times: 7 },
    ])
    // another product is another label
    expect(productDose(product('binder'), ask({ recent: [{ ...binder(3), productKey: 'other' }] })).problems).toEqual(
      [],
    )
  })
  it('refuses what is no volume', () =>
    expect(() => productDose(product('culture'), ask({ volumeM3: Number.NaN }))).toThrow('volumeM3'))
  it('has nothing to say against nothing', () =>
    expect(doseProblems(product('culture'), 0, ask({ waterC: 1 }))).toEqual([]))
})

describe('around a dose', () => {
  it('a course goes on at its interval', () => {
    expect(courseDays(product('culture'), '2027-04-01')).toEqual(['2027-04-08', '2027-04-15', '2027-04-22'])
    expect(courseDays(product('salt'), '2027-04-01')).toEqual([])
  })
  it('mixed water lies between the two, nearer the larger', () => {
    expect(mixedTempC([9, 1], [20, 10])).toBeCloseTo(19, 9)
    expect(mixedTempC([0, 0], [20, 10])).toBeNaN()
  })
})
