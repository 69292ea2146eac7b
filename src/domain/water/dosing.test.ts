import { DEFAULT_KIT } from '../../core/visits/cleanout-quantities'
import type { VisitStep } from '../../core/visits/step'
import { visitAmounts } from '../../core/visits/visit-amounts'
import { type Product } from '../../core/water/dosing/products'
import { givenBefore, givenEarlier, overLabel, stepDoses, treatedM3, waterToday } from './dosing'
import { productNeeds } from '../stores/product-needs'
import { StepAnswer, type Entry } from '../visits/visit'
import type { StepState } from '../visits/visit-progress'
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'
const SPRING_CLEANOUT = jobInWords('spring-cleanout')

const POND = {
  waterM3: 12,
  maxDepthM: 1.1,
  fish: [{ species: 'koi' as const, count: 5, lengthM: 0.5 }],
  sourceChlorinated: true,
}
const amounts = visitAmounts(POND, DEFAULT_KIT, { tapChlorineMgL: 0.5, khDH: 4, systemM3: 15, planted: true })
const product = (key: string): Product => USUAL_PRODUCTS_IN_WORDS.find((p) => p.key === key)!
const step = (over: Partial<VisitStep>): VisitStep => ({
  key: 'dose',
  section: 'Work',
  kind: 'dose',
  title: 'Dose',
  ...over,
})
const facts = { amounts, waterC: 12, recent: [] }
const doneAt = (stepKey: string, at: string, answer: object): Entry =>
  ({
    kind: 'done',
    id: at,
    stepKey,
    at,
    answer: StepAnswer.parse(answer),
    byId: 'u',
    byName: 'Tamsy',
    receivedAt: at,
    replaces: null,
  }) as unknown as Entry

describe('the water that a product treats', () => {
  it('is the whole system for what works in the pond, wherever it is given', () => {
    expect(treatedM3(step({ quantity: 'dechlorinator' }), product('culture'), amounts, undefined)).toBe(15)
    expect(treatedM3(step({}), product('salt'), amounts, 3)).toBe(15)
  })
  it('is the new water only for a dechlorinator: what was changed, or the refill', () => {
    expect(treatedM3(step({ quantity: 'refill' }), product('thiosulfate'), amounts, undefined)).toBe(amounts.refillM3)
    expect(treatedM3(step({ quantity: 'partial-change' }), product('thiosulfate'), amounts, 2.5)).toBe(2.5)
    // a third of the system until it is known what was changed
    expect(treatedM3(step({ quantity: 'partial-change' }), product('thiosulfate'), amounts, undefined)).toBeCloseTo(
      5,
      9,
    )
    expect(treatedM3(step({}), product('thiosulfate'), amounts, 1)).toBe(1)
  })
})

describe('the doses of a step', () => {
  const doses = (over: Partial<VisitStep>, answer: object = {}, more: object = {}) =>
    stepDoses(step(over), USUAL_PRODUCTS_IN_WORDS, { ...facts, ...more }, answer)
  it('are those of the purposes that it names, by the tap’s chlorine, today’s hardness and the salt aimed at', () => {
    const [thio] = doses({ products: ['dechlorinator'], quantity: 'partial-change' }, { figures: { changedM3: 4 } })
    // 4 m³ × 0.5 mg/L × 7 g
    expect(thio).toMatchObject({ product: { key: 'thiosulfate' }, exact: expect.closeTo(14, 9) })
    const [kh] = doses({ products: ['kh'] })
    // 15 m³ from 4 to 5 °dH
    expect(kh!.exact).toBeCloseTo(15 * 29.96, 1)
    // what the crew wants to raise goes before what was reckoned
    expect(doses({ products: ['kh'] }, { figures: { khRiseDH: 0.5 } })[0]!.exact).toBeCloseTo(kh!.exact / 2, 6)
    const [salt] = doses({ products: ['salt'] })
    expect(salt!.exact).toBeCloseTo(amounts.winterSalt.kg * 1000, 6)
    expect(doses({})).toEqual([])
  })
  it('carry how far the system is known, but not where new water is measured as it is let in', () => {
    const known = { ...amounts, systemRangeM3: [12, 19] as const }
    const [salt] = doses({ products: ['salt'] }, {}, { amounts: known })
    expect(salt!.rangeM3).toEqual([12, 19])
    const [thio] = doses({ products: ['dechlorinator'], quantity: 'partial-change' }, {}, { amounts: known })
    expect(thio!.rangeM3).toBeNull()
  })
  it('speak up about water that is too cold and about what was given an hour ago', () => {
    const cold = doses({ products: ['bacteria'] }, {}, { waterC: 5 })
    expect(cold.find((d) => d.product.key === 'culture')!.problems.map((p) => p.code)).toEqual(['too-cold'])
    const close = doses({ products: ['bacteria'] }, {}, { recent: [{ purpose: 'flocculant', hoursAgo: 1 }] })
    expect(close.find((d) => d.product.key === 'culture')!.problems.map((p) => p.code)).toEqual(['too-close'])
  })
})

describe('what a visit knows', () => {
  it('is what was given on it before, and how long ago, without what is being corrected', () => {
    const states = new Map<string, StepState>([
      [
        'floc',
        {
          status: 'done',
          entry: doneAt('floc', '2027-05-03T08:00:00Z', {
            doses: [{ productKey: 'flocculant', name: 'F', amount: 40, unit: 'mL' }],
          }) as never,
        },
      ],
      [
        'none',
        {
          status: 'done',
          entry: doneAt('none', '2027-05-03T09:00:00Z', {
            doses: [{ productKey: 'culture', name: 'C', amount: 0, unit: 'mL' }],
          }) as never,
        },
      ],
      [
        'gone',
        {
          status: 'done',
          entry: doneAt('gone', '2027-05-03T09:00:00Z', {
            doses: [{ productKey: 'no-more', name: 'N', amount: 9, unit: 'g' }],
          }) as never,
        },
      ],
      ['open', { status: 'open' }],
    ])
    const now = Date.parse('2027-05-03T10:30:00Z')
    expect(givenBefore(states, USUAL_PRODUCTS_IN_WORDS, 'bacteria', now)).toEqual([
      { productKey: 'flocculant', purpose: 'flocculant', hoursAgo: 2.5 },
    ])
    expect(givenBefore(states, USUAL_PRODUCTS_IN_WORDS, 'floc', now)).toEqual([])
    // what another visit gave counts as well; products that are no more in the book say nothing
    const earlier = [
      { productKey: 'flocculant', at: '2027-05-02T10:30:00Z' },
      { productKey: 'no-more', at: '2027-05-02T10:30:00Z' },
    ]
    expect(givenEarlier(earlier, USUAL_PRODUCTS_IN_WORDS, now)).toEqual([
      { productKey: 'flocculant', purpose: 'flocculant', hoursAgo: 24 },
    ])
  })
  it('is the newest water temperature, by when it was measured', () => {
    const reading = (value: number) => ({ method: 'meter', readings: { waterTemp: { value, belowStep: false } } })
    const log = [
      doneAt('b', '2027-05-03T10:00:00Z', reading(14)),
      doneAt('a', '2027-05-03T08:00:00Z', reading(12)),
      doneAt('c', '2027-05-03T11:00:00Z', {}),
    ]
    expect(waterToday(log)).toBe(14)
    expect(waterToday([])).toBeNull()
  })
})

describe('more than the label allows', () => {
  const bacteria = step({ products: ['bacteria'] })
  const given = (productKey: string, amount: number) =>
    StepAnswer.parse({ doses: [{ productKey, name: 'x', amount, unit: 'mL' }] })
  it('is refused at its own field, with what is allowed', () => {
    const max = product('culture').mostPerM3 * 15
    expect(overLabel(bacteria, USUAL_PRODUCTS_IN_WORDS, amounts, given('culture', max))).toBeNull()
    const over = overLabel(bacteria, USUAL_PRODUCTS_IN_WORDS, amounts, given('culture', max * 1.1))!
    expect(over).toEqual({
      code: 'over-label',
      product: product('culture').name,
      most: max,
      unit: 'mL',
      paths: ['answer.doses.0'],
    })
  })
  it('cannot be told of a product that the book no longer has', () =>
    expect(overLabel(bacteria, USUAL_PRODUCTS_IN_WORDS, amounts, given('gone', 1e6))).toBeNull())
})

describe('what coming visits will take', () => {
  const visit = (waterC: number | null) => ({ job: SPRING_CLEANOUT, amounts, waterC })
  const of = (needs: ReturnType<typeof productNeeds>, key: string) =>
    needs.find((n) => n.product.key === key)?.amount ?? 0
  it('is the sum over visits, by the chlorine that is assumed for their refills', () => {
    const one = of(productNeeds([visit(12)], USUAL_PRODUCTS_IN_WORDS), 'thiosulfate')
    expect(one).toBeGreaterThan(0)
    expect(of(productNeeds([visit(12), visit(12)], USUAL_PRODUCTS_IN_WORDS), 'thiosulfate')).toBeCloseTo(2 * one, 9)
    expect(productNeeds([], USUAL_PRODUCTS_IN_WORDS)).toEqual([])
  })
  it('chooses bacteria by the water expected', () => {
    const cold = productNeeds([visit(6)], USUAL_PRODUCTS_IN_WORDS)
    expect(of(cold, 'cold-culture')).toBeGreaterThan(0)
    expect(of(cold, 'culture')).toBe(0)
    const warm = productNeeds([visit(16)], USUAL_PRODUCTS_IN_WORDS)
    expect(of(warm, 'cold-culture')).toBe(0)
  })
  it('foretells nothing that only tests or eyes can ask for', () =>
    expect(
      productNeeds([visit(12)], USUAL_PRODUCTS_IN_WORDS).some((n) =>
        ['algae', 'flocculant', 'kh', 'gh'].includes(n.product.purpose),
      ),
    ).toBe(false))
})
