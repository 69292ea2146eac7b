import { normalDeviate, seededRandom } from '../numeric/random'
import { fitEffects, type EffectModel, type EffectObservation } from './crossed-effects'

/** So much is believed of every spread that nothing learnt moves it. */
const SURE = 1e9
const model = (over: Partial<EffectModel> = {}): EffectModel => ({
  mean: { value: 0, sd: 0.5 },
  crossed: [{ sd: 0.4, worth: SURE, levels: 1 }],
  nested: { sd: 0.3, worth: SURE, levels: 1 },
  single: { sd: 0.2, worth: SURE },
  ...over,
})
const seen = (value: number, over: Partial<EffectObservation> = {}): EffectObservation => ({
  value,
  variance: 0,
  crossed: [0],
  nested: 0,
  ...over,
})

describe('crossed effects', () => {
  it('are what was believed before anything is seen', () => {
    const { value, variance } = fitEffects([], model()).at([0], 0)
    expect(value).toBe(0)
    expect(variance).toBeCloseTo(0.5 ** 2 + 0.4 ** 2 + 0.3 ** 2, 9)
  })
  it('follow one observation by hand: each effect takes its share of the variance', () => {
    const fitted = fitEffects([seen(0.01)], model())
    const before = 0.25 + 0.16 + 0.09
    // t errors weigh by (ν + 1) / (ν + what the observation is expected to be astray by)
    let single = 0.2 ** 2
    for (let i = 0; i < 50; i++) {
      const left = before - before ** 2 / (before + single)
      const miss = 0.01 - (0.01 * before) / (before + single)
      single = (0.2 ** 2 * (4 + (left + miss ** 2) / 0.2 ** 2)) / 5
    }
    const all = fitted.at([0], 0)
    expect(all.value).toBeCloseTo((0.01 * before) / (before + single), 4)
    expect(all.variance).toBeCloseTo(before - before ** 2 / (before + single), 3)
    const elsewhere = fitted.at([0], null)
    expect(elsewhere.value).toBeCloseTo((0.01 * 0.41) / (before + single), 4)
    expect(elsewhere.variance).toBeCloseTo(0.41 - 0.41 ** 2 / (before + single) + 0.09, 3)
    const other = fitted.at([null], null)
    expect(other.value).toBeCloseTo((0.01 * 0.25) / (before + single), 4)
  })
  it('an observation that is known badly itself says less', () => {
    const [well, badly] = [fitEffects([seen(0.3)], model()), fitEffects([seen(0.3, { variance: 1 })], model())]
    expect(badly.at([0], 0).value).toBeLessThan(0.5 * well.at([0], 0).value)
    expect(badly.at([0], 0).variance).toBeGreaterThan(well.at([0], 0).variance)
  })
  it('one slip among many moves little', () => {
    const many = Array.from({ length: 12 }, (_, i) => seen(i % 2 ? 0.05 : -0.05))
    const before = fitEffects(many, model()).at([0], 0).value
    expect(Math.abs(fitEffects([...many, seen(3)], model()).at([0], 0).value - before)).toBeLessThan(0.05)
  })
  it('find the spreads that made them, and the levels apart', () => {
    const random = seededRandom(11)
    const drawn = (sd: number, n: number) => Array.from({ length: n }, () => sd * normalDeviate(random))
    const [first, second, nested] = [drawn(0.5, 8), drawn(0.1, 8), drawn(0.3, 120)]
    const observations = Array.from({ length: 1500 }, (): EffectObservation => {
      const [a, b, n] = [8, 8, 120].map((levels) => Math.floor(levels * random()))
      return {
        value: 0.2 + first[a!]! + second[b!]! + nested[n!]! + 0.25 * normalDeviate(random),
        variance: 0,
        crossed: [a!, b!],
        nested: n!,
      }
    })
    const { spreads, at } = fitEffects(observations, {
      mean: { value: 0, sd: 0.5 },
      crossed: [
        { sd: 0.3, worth: 2, levels: 8 },
        { sd: 0.3, worth: 2, levels: 8 },
      ],
      nested: { sd: 0.2, worth: 2, levels: 120 },
      single: { sd: 0.4, worth: 2 },
    })
    expect(spreads.crossed[0]).toBeGreaterThan(0.35)
    expect(spreads.crossed[1]).toBeLessThan(0.25)
    expect(spreads.nested).toBeCloseTo(0.3, 1)
    // of t errors with four degrees of freedom to normal ones
    expect(spreads.single).toBeCloseTo(0.836 * 0.25, 1)
    const apart = at([0, null], null).value - at([1, null], null).value
    expect(apart).toBeCloseTo(first[0]! - first[1]!, 1)
  })
})
