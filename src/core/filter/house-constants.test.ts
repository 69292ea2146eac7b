import { koiPond } from '../../../tests/fixtures/design-pond'
import { estimate } from '../pricing/estimate'
import { USUAL_PRICES } from '../pricing/price-book'
import { DomainError } from '../errors'
import { checkDesign } from './checks'
import { evaluateDesign } from './design'
import type { DesignPond } from './design-input'
import { PUMP_CATALOGUE as pumps } from './flow/pump-catalogue'
import { contradictions, HOUSE_CONSTANTS, withConstants, type HouseConstant } from './house-constants'
import { DEFAULT_FILTER_RULES, type FilterRules } from './house-rules'
import { newUnit } from './train/new-unit'
import { suggestDesign } from './suggest'

const book = { ...USUAL_PRICES, items: USUAL_PRICES.items.map((item) => ({ ...item, name: item.key })) }
const guests = { publicFeedGPerD: 60, bathersPerD: 8, ducks: 3, turtles: 2 }
/** Ponds and beds that between them use every figure: each use, each stone, walls, a channel, a train, heavy loads. */
const CASES = (['wildlife', 'few-small-fish', 'many-fish', 'koi', 'swimming'] as const).flatMap((use) =>
  (['lined-wetland', 'raised-trough', 'horizontal-bed', 'surface-wetland'] as const).map((type) => {
    const pond: DesignPond = { ...koiPond, areaM2: 90, volumeM3: 60, use, guests, leafKgPerYear: 12 }
    const drawn = suggestDesign(pond, 'volume', DEFAULT_FILTER_RULES, pumps, type)
    const layers = [...drawn.layers]
    if (type === 'raised-trough') layers.push({ material: 'pea-gravel', thicknessM: 0.05 })
    // a deep bed's pores outlast its chamber, a usual one's do not
    if (use === 'koi') layers.splice(-1, 0, { material: 'gravel-19-38', thicknessM: 0.8 })
    return { pond, design: { ...drawn, layers, train: [newUnit('uv', { flowM3PerH: 10, pondM3: 60 })] } }
  }),
)

/** All that a firm reads of these designs: figures, checks and prices. */
const read = (rules: FilterRules): string =>
  JSON.stringify(
    CASES.map(({ pond, design }) => {
      const given = { pond, design, rules, houseMethod: 'volume' as const, pumps }
      const result = evaluateDesign(given)
      return [result, checkDesign({ ...given, result }), estimate(design, book, { pumps, rules, pond })]
    }),
  )

/** A little off the usual figure, within its range. */
const another = ({ usual, range: [from, to] }: HouseConstant): number =>
  usual * 1.07 <= to ? Math.max(from, usual * 1.07 + (usual === 0 ? (to - from) / 10 : 0)) : usual * 0.93

const usual = read(DEFAULT_FILTER_RULES)

describe('figures that a firm may set', () => {
  it('are as usual where it sets none', () => expect(read(withConstants(DEFAULT_FILTER_RULES, {}))).toBe(usual))
  it('are each told once, and lie within their own range', () => {
    expect(new Set(HOUSE_CONSTANTS.map(({ key }) => key)).size).toBe(HOUSE_CONSTANTS.length)
    for (const { usual: value, range } of HOUSE_CONSTANTS) {
      expect(value).toBeGreaterThanOrEqual(range[0])
      expect(value).toBeLessThanOrEqual(range[1])
    }
  })
  it.each(HOUSE_CONSTANTS.map((of) => [of.key, of] as const))('%s reaches figures, checks or prices', (key, of) =>
    expect(read(withConstants(DEFAULT_FILTER_RULES, { [key]: another(of) }))).not.toBe(usual),
  )
  it('leave the rules they are put into as they were', () => {
    const before = JSON.stringify(DEFAULT_FILTER_RULES)
    withConstants(DEFAULT_FILTER_RULES, { 'nitrification.theta': 1.1, 'materials.pea-gravel.grainM': 0.006 })
    expect(JSON.stringify(DEFAULT_FILTER_RULES)).toBe(before)
  })
  it('grade a stone of another size about it as the usual one is', () => {
    const { materials } = withConstants(DEFAULT_FILTER_RULES, { 'materials.gravel-19-38.grainM': 0.014 })
    expect(materials['gravel-19-38']).toMatchObject({ grainM: 0.014, d15M: 0.0105, d85M: 0.0175, porosity: 0.4 })
  })
  it('are refused out of their range', () =>
    expect(() => withConstants(DEFAULT_FILTER_RULES, { 'nitrification.usableShare': 1.2 })).toThrow(DomainError))
  it('are told where two contradict each other', () => {
    const of = (values: Parameters<typeof withConstants>[1]) =>
      contradictions(withConstants(DEFAULT_FILTER_RULES, values))
    expect(of({})).toEqual([])
    expect(of({ 'clogging.chamberShare': 0.8 })).toEqual(['clogging.gravelShare'])
    expect(of({ 'surfaceCurve.minFromM2': 40 })).toEqual(['surfaceCurve.minFromM2'])
    expect(of({ 'phosphorus.goodMgL': 0.05 })).toEqual(['phosphorus.mostMgL'])
  })
})
