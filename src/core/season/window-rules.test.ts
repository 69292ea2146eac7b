import { DEFAULT_SEASON_RULES as rules } from './house-rules'
import { PossibleYear } from './possible-year'
import { windowRule } from './window-rules'

const clock = { latitudeDeg: 45, firstDay: 1, warmAt: 196, turns: true }
const MILD = { minAirC: 8, maxAirC: 16, humidityPercent: 70, windMPerS: 2, sunshineH: 5, rainMm: 0 }
/** Water that warms by a degree in eight days and cools as it came, but for a cold spell. */
const yearWith = (coldFrom: number, coldTo: number) => {
  const water = Array.from({ length: 365 }, (_, i) => ({
    waterC: i >= coldFrom && i <= coldTo ? 9 : Math.max(2, 22 - Math.abs(i - 200) / 8),
    iceM: 0,
  }))
  return new PossibleYear(
    water.map(() => MILD),
    water,
    clock,
    rules,
  )
}
const dayOf = (job: 'bacteria' | 'feeding-normal', year: PossibleYear) => {
  const rule = windowRule(job, rules, clock)!
  return rule.kind === 'turn' ? rule.on(year) : -1
}

describe('a turn of spring', () => {
  it('comes where the water has reached it for good', () => {
    expect(dayOf('bacteria', yearWith(-1, -1))).toBeGreaterThan(115)
    expect(dayOf('bacteria', yearWith(-1, -1))).toBeLessThan(125)
    // a cold spell in May throws it back
    expect(dayOf('bacteria', yearWith(130, 140))).toBeGreaterThan(140)
  })
  it('is not undone by a cold spell in the warmest fortnight', () => {
    expect(dayOf('bacteria', yearWith(200, 206))).toBe(dayOf('bacteria', yearWith(-1, -1)))
    expect(dayOf('feeding-normal', yearWith(200, 206))).toBe(dayOf('feeding-normal', yearWith(-1, -1)))
  })
})
