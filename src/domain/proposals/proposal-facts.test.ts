import { koiPond } from '../../../tests/fixtures/design-pond'
import { offered, proposalContent } from '../../../tests/fixtures/proposal-content'
import { PUMP_CATALOGUE } from '../../core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES } from '../../core/filter/house-rules'
import { suggestDesign } from '../../core/filter/suggest'
import { optionFacts } from './proposal-facts'

const design = offered
const content = proposalContent

describe('what a proposal says of an option', () => {
  it('is a band about the figure, not the figure alone', () => {
    const { result, bands } = optionFacts(content(), 0)
    expect(bands.worstTanMgL[0]).toBeLessThan(result.worstTanMgL)
    expect(bands.worstTanMgL[1]).toBeGreaterThan(result.worstTanMgL)
    expect(optionFacts(content(), 0).bands).toEqual(bands)
  })
  it('of one that was frozen before guests, shores and several pipes were asked for is worked out as it was then', () => {
    const { guests: _guests, fillPhosphateMgL: _fill, shoreM: _shore, volumeSigmaShare: _sigma, ...pond } = koiPond
    const { laterals: _laterals, ...manifold } = design.manifold
    const { weeklyExchange: _exchange, ...old } = design
    const frozen = content({
      pond: pond as never,
      options: [{ ...content().options[0]!, design: { ...old, manifold } as never }],
    })
    const facts = optionFacts(frozen, 0)
    expect(facts.design.manifold.laterals).toBe(1)
    expect(facts.result.worstTanMgL).toBeCloseTo(optionFacts(content(), 0).result.worstTanMgL, 9)
  })
  it('of a pond without a filter needs no pump', () => {
    const pond = { ...koiPond, fish: [{ species: 'goldfish' as const, count: 3, lengthM: 0.1 }] }
    const still = suggestDesign(pond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, 'none')
    const facts = optionFacts(content({ pond, options: [{ ...content().options[0]!, design: still, pump: null }] }), 0)
    const [low, high] = facts.bands.worstTanMgL
    expect(low).toBeLessThan(facts.result.worstTanMgL)
    expect(high).toBeGreaterThan(facts.result.worstTanMgL)
    expect(facts.result.duty.status).toBe('no-pump')
  })
})
