import { cleanoutQuantities, DEFAULT_KIT } from '../../core/visits/cleanout-quantities'
import { visitAmounts } from '../../core/visits/visit-amounts'
import { loadList } from './load-list'
import { productNeeds } from '../stores/product-needs'
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'
import type { VisitTypeKey } from '../../core/visits/visit-type-keys'

const pond = {
  waterM3: 8,
  maxDepthM: 1.1,
  fish: [{ species: 'goldfish' as const, count: 20, lengthM: 0.14 }],
  sourceChlorinated: true,
}
const quantities = cleanoutQuantities(pond, DEFAULT_KIT, 0.6)
const visit = (key: VisitTypeKey, state: 'planned' | 'done' = 'planned') => ({
  job: jobInWords(key),
  quantities,
  state,
  also: [] as string[],
  tasks: [] as { id: string; title: string }[],
  siteName: 'Lark House',
})

describe('the load list', () => {
  it('sums what refills take and carries one tank for the largest of the day', () => {
    const amounts = visitAmounts(pond, DEFAULT_KIT, { tapChlorineMgL: null, khDH: null, systemM3: 8, planted: true })
    const coming = { job: jobInWords('spring-cleanout'), amounts, waterC: 7 }
    const list = loadList(
      [visit('spring-cleanout'), visit('spring-cleanout'), visit('netting')],
      productNeeds([coming, coming], USUAL_PRODUCTS_IN_WORDS),
      new Set(),
    )
    const of = (name: RegExp) => list.products.find((p) => name.test(p.name))
    // each refill in whole half scoops of 15 g
    expect(of(/thiosulfate/)!.amount).toBeGreaterThanOrEqual(2 * quantities.dechlorinator.totalG)
    expect(of(/thiosulfate/)!.amount).toBeLessThan(2 * (quantities.dechlorinator.totalG + 7.5))
    // 8 m³ at 8 g in half scoops of 20 g, for water of 7 °C the cold-water culture and not the other
    expect(of(/Cold-water/)!.amount).toBe(2 * 70)
    expect(of(/liquid/)).toBeUndefined()
    expect(list.tapWaterM3).toBeCloseTo(2 * quantities.refillM3, 9)
    expect(list.tank).toEqual(quantities.holding)
    expect([...list.kit].sort()).toEqual(['net-poles', 'tank', 'washer'])
  })
  it('leaves out what is done, and doses nothing for visits that dose by the label on site', () => {
    expect(loadList([visit('spring-cleanout', 'done'), visit('spring-startup')], [], new Set())).toEqual({
      kit: [],
      tank: null,
      products: [],
      tapWaterM3: 0,
      parts: [],
    })
  })
  it('names what tasks bring along, and the kit of a second job', () => {
    const tasks = [
      { id: 'e-1', title: 'Renew the UV lamp: clarifier' },
      { id: 'f-1', title: 'Renew nothing: look at the edge' },
    ]
    const list = loadList([{ ...visit('routine'), tasks, also: ['wetland-flush'] }], [], new Set(['e-1']))
    expect(list.parts).toEqual([{ site: 'Lark House', task: 'Renew the UV lamp: clarifier' }])
    expect(list.kit).toEqual(['flush-pump'])
  })
})
