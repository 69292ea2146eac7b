import { REMEDY_DOSES } from '../../core/diagnosis/cause'
import { CAUSE_KEYS, causeOf } from '../../core/diagnosis/causes'
import { remedyAmounts, type RemedyDosingFacts } from './remedy-doses'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'

const facts = (changes: Partial<RemedyDosingFacts> = {}): RemedyDosingFacts => ({
  products: USUAL_PRODUCTS_IN_WORDS,
  systemM3: 20,
  waterC: 18,
  recent: [],
  ...changes,
})

describe('doses of a remedy', () => {
  it.each(REMEDY_DOSES)('%s is somewhere in the plans, and the usual product book has something for it', (dose) => {
    expect(CAUSE_KEYS.some((key) => causeOf(key).remedies.some((r) => r.dose === dose))).toBe(true)
    const amounts = remedyAmounts(dose, facts())
    expect(amounts.length).toBeGreaterThan(0)
    for (const { amount, product } of amounts) {
      expect(amount).toBeGreaterThan(0)
      expect(amount).toBeLessThanOrEqual(product.mostPerM3 * 20 * (1 + 1e-9))
    }
  })
  it('salt comes to a tenth of a percent of the whole system', () => {
    const [salt] = remedyAmounts('salt', facts())
    expect(salt!.exact).toBe(20_000)
  })
  it('grow with the water', () =>
    expect(remedyAmounts('flocculant', facts({ systemM3: 40 }))[0]!.exact).toBeCloseTo(
      2 * remedyAmounts('flocculant', facts())[0]!.exact,
      9,
    ))
  it('offer bacteria that work at the water’s warmth', () => {
    const purposes = (waterC: number | null) =>
      remedyAmounts('bacteria', facts({ waterC })).map(({ product }) => product.purpose)
    expect(purposes(7)).toEqual(['cold-bacteria'])
    expect(purposes(22)).toContain('bacteria')
  })
  it('say what speaks against them where nothing else is left', () => {
    const only = USUAL_PRODUCTS_IN_WORDS.filter((p) => p.purpose === 'bacteria')
    expect(remedyAmounts('bacteria', facts({ products: only, waterC: 5 }))[0]!.problems.map((p) => p.code)).toContain(
      'too-cold',
    )
    expect(remedyAmounts('salt', facts({ products: [] }))).toEqual([])
  })
})
