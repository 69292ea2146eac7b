import { koiPond } from '../../../../tests/fixtures/design-pond'
import { DEFAULT_FILTER_RULES as rules } from '../house-rules'
import { suggestDesign } from '../suggest'
import { PUMP_CATALOGUE } from './pump-catalogue'
import { FLOW_SPREAD, flowSigmaShare } from './flow-spread'
import { pumping, UNPUMPED, type Pumping } from './pumping'

/** Straight curves: what meets where is worked out on paper. */
const straight = (pumpFalls: number, systemRises: number): Pumping => ({
  ...UNPUMPED,
  flowM3PerH: 10,
  curve: [0, 10, 20].map((flowM3PerH) => ({ flowM3PerH, headM: 3 + (10 - flowM3PerH) * pumpFalls })),
  systemCurve: [0, 10, 20].map((flowM3PerH) => ({ flowM3PerH, headM: 3 + (flowM3PerH - 10) * systemRises })),
})

describe('how far a flow may be off', () => {
  it('is what pump and friction move the point where both curves meet, by hand', () => {
    // head 3 m, lost 1 m of it, slopes 0.2 and 0.1 m per m³/h
    const byHand =
      Math.hypot(FLOW_SPREAD.pumpHead * 3, FLOW_SPREAD.pumpFlow * 2, FLOW_SPREAD.friction * 1) / ((0.2 + 0.1) * 10)
    expect(flowSigmaShare(straight(0.2, 0.1))).toBeCloseTo(byHand, 6)
  })
  it('is wider the flatter both curves lie', () => {
    expect(flowSigmaShare(straight(0.05, 0.05))).toBeGreaterThan(1.5 * flowSigmaShare(straight(0.3, 0.2)))
  })
  it('is little where nothing is pumped', () => expect(flowSigmaShare(UNPUMPED)).toBeLessThan(0.03))
  it('lies between 2 and 12 % for designs of the suggestions', () => {
    for (const type of ['lined-wetland', 'raised-trough'] as const) {
      const design = suggestDesign(koiPond, 'volume', rules, PUMP_CATALOGUE, type)
      const pump = PUMP_CATALOGUE.find(({ id }) => id === design.pumpId)!
      const sigma = flowSigmaShare(pumping(design, pump, rules))
      expect(sigma).toBeGreaterThan(0.02)
      expect(sigma).toBeLessThan(0.12)
    }
  })
})
