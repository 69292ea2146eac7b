import type { Product } from '../../core/water/dosing/products'
import { USUAL_PRODUCTS } from '../../core/water/dosing/usual-products'
import { eventsOfDoses } from './dose-events'

const products = USUAL_PRODUCTS.map((p) => ({ ...p, name: p.key, safety: '', measure: null })) as readonly Product[]
const of = (purpose: Product['purpose']) => products.find((p) => p.purpose === purpose)!
const given = (purpose: Product['purpose'], amountPerM3: number, day = '2030-06-04') => ({
  productKey: of(purpose).key,
  amount: amountPerM3 * 20,
  day,
})
const events = (...doses: ReturnType<typeof given>[]) => eventsOfDoses(doses, products, 20, '2030-06-01')

describe('doses on file, for the simulator', () => {
  it('raise KH by what was given against the rate, at noon of the day', () =>
    expect(events(given('kh', 2 * of('kh').rate))).toEqual([{ kind: 'raise-kh', byDKH: 2, day: 3.5 }]))
  it('salt by weight: 0.1 % is a kilogram a cubic metre', () =>
    expect(events(given('salt', of('salt').rate))).toEqual([{ kind: 'salt', kg: 20, day: 3.5 }]))
  it('bring bacteria, flocs and dead algae', () => {
    expect(events(given('bacteria', of('bacteria').rate))).toMatchObject([{ kind: 'seed-bacteria', share: 0.01 }])
    expect(events(given('bacteria', 50 * of('bacteria').rate))).toMatchObject([{ share: 0.02 }])
    expect(events(given('flocculant', of('flocculant').rate))).toMatchObject([{ kind: 'flocculant' }])
    expect(events(given('flocculant', 0.1 * of('flocculant').rate))).toEqual([])
  })
  it('take up colour by the weight of activated carbon', () =>
    expect(events(given('carbon', 300))).toEqual([{ kind: 'carbon', kg: 6, day: 3.5 }]))
  it('leave out what the simulator does not know, products that are gone, and days before the run', () => {
    expect(events(given('gh', 10), given('binder', 10))).toEqual([])
    expect(events({ ...given('kh', 5), productKey: 'gone' })).toEqual([])
    expect(events(given('kh', 5, '2030-05-31'))).toEqual([])
  })
})
