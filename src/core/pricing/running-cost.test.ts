import { koiPond as pond } from '../../../tests/fixtures/design-pond'
import { trainUnit } from '../../../tests/fixtures/train-unit'
import { USUAL_PRICE_BOOK as book } from '../../../tests/fixtures/usual-in-words'
import { evaluateDesign } from '../filter/design'
import type { FilterDesign } from '../filter/design-input'
import { PUMP_CATALOGUE as pumps } from '../filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from '../filter/house-rules'
import { suggestDesign } from '../filter/suggest'
import { runningCost, WEAR_SHARE } from './running-cost'

const bare = suggestDesign(pond, 'volume', rules, pumps, 'lined-wetland')
const year = (over: Partial<FilterDesign> = {}) => {
  const design = { ...bare, ...over }
  const { upkeep } = evaluateDesign({ pond, design, rules, houseMethod: 'volume', pumps })
  return { upkeep, cost: runningCost(design, upkeep, book, pumps) }
}
const cost = (key: string) => book.items.find((item) => item.key === key)!.costMinor

describe('a year of a design', () => {
  it('is its hours, current, water and worn parts at the firm’s prices', () => {
    const { upkeep, cost: of } = year()
    expect(of.workMinor).toBe(Math.round(upkeep.hoursPerYear * cost('labour') * (1 + book.tax)))
    expect(of.energyMinor).toBe(Math.round(upkeep.energyKWhPerYear * cost('electricity')))
    expect(of.waterMinor).toBe(Math.round(upkeep.waterM3PerYear * cost('tap-water')))
    const pump = pumps.find((p) => p.id === bare.pumpId)!
    expect(of.wearMinor).toBe(Math.round((pump.priceMinor / 8) * (1 + book.markup) * (1 + book.tax)))
    expect(of.totalMinor).toBe(of.workMinor + of.energyMinor + of.waterMinor + of.wearMinor)
    expect(of.unpriced).toEqual([])
  })
  it('with a lamp costs its current and its part of a new lamp', () => {
    const [plain, lit] = [year(), year({ train: [trainUnit('uv', { lampW: 75 })] })]
    const lamp = cost('unit:uv:75') * WEAR_SHARE.uv! * (1 + book.markup) * (1 + book.tax)
    expect(lit.cost.wearMinor - plain.cost.wearMinor).toBeCloseTo(lamp, -1)
    expect(lit.upkeep.energyKWhPerYear).toBeGreaterThan(plain.upkeep.energyKWhPerYear + 500)
  })
  it('says which prices are missing and leaves out what hangs on them', () => {
    const without = { ...book, items: book.items.filter((item) => item.key !== 'electricity') }
    const { upkeep } = year()
    const of = runningCost(bare, upkeep, without, pumps)
    expect(of).toMatchObject({ unpriced: ['electricity'], energyMinor: 0 })
    expect(of.totalMinor).toBeLessThan(year().cost.totalMinor)
  })
  it('of a design without pump and bed is its care alone', () => {
    const tub = suggestDesign(pond, 'volume', rules, pumps, 'none')
    const { upkeep } = evaluateDesign({ pond, design: tub, rules, houseMethod: 'volume', pumps })
    expect(runningCost(tub, upkeep, book, pumps)).toMatchObject({ energyMinor: 0, wearMinor: 0 })
  })
})
