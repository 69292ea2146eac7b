import fc from 'fast-check'
import { unionisedAmmonia } from './ammonia'
import { mixedWater } from './mixing'
import { judgeWaterChange } from './water-change-gate'

const ACID = { ph: 6.2, tanMgL: 4, khDH: 0.5, tempC: 20 }
const HARD = { ph: 8, khDH: 14, tempC: 19 }
const codes = (...args: Parameters<typeof judgeWaterChange>) => judgeWaterChange(...args).reasons.map((r) => r.code)

describe('a water change', () => {
  it('with hard tap on an acid, ammonia-rich pond is a stop by its predicted NH3', () => {
    expect(unionisedAmmonia(ACID.tanMgL, ACID.ph, ACID.tempC).band).toBe('fine')
    const { reasons, nh3AfterMgL } = judgeWaterChange(ACID, HARD, 0.33)
    expect(reasons).toMatchObject([{ code: 'ammonia-after' }])
    expect(nh3AfterMgL).toBeGreaterThan(0.05)
  })
  it('with water like its own passes', () => expect(codes(ACID, { ph: 6.2, khDH: 0.5, tempC: 20 }, 0.33)).toEqual([]))
  it('with hard tap on a clean pond passes', () => expect(codes({ ...ACID, tanMgL: 0.1 }, HARD, 0.33)).toEqual([]))
  it('says all that is wrong at once', () =>
    expect(codes({ ...ACID, tanMgL: 0 }, { ...HARD, tempC: 9, chlorineMgL: 0.5 }, 0.5)).toEqual([
      'too-much-at-once',
      'inlet-temperature',
      'chlorine-in',
    ]))
  it('of nothing changes nothing', () => {
    const { nh3AfterMgL } = judgeWaterChange(ACID, HARD, 0)
    expect(nh3AfterMgL).toBeCloseTo(unionisedAmmonia(ACID.tanMgL, ACID.ph, ACID.tempC).nh3MgL, 9)
  })
})

describe('mixed water', () => {
  const within = (min: number, max: number) => fc.double({ min, max, noNaN: true })
  const water = fc.record({ ph: within(6, 9), khDH: within(1, 20), tempC: within(2, 30) })
  it('keeps alkalinity, ammonia and heat, and its pH between the two', () =>
    fc.assert(
      fc.property(water, water, within(0, 5), within(0.01, 0.99), (pond, fill, tanMgL, fraction) => {
        const mixed = mixedWater({ ...pond, tanMgL }, fill, fraction)
        expect(mixed.khDH).toBeCloseTo(pond.khDH * (1 - fraction) + fill.khDH * fraction, 9)
        expect(mixed.tanMgL).toBeCloseTo(tanMgL * (1 - fraction), 9)
        const slack = 0.35 // constants of the mixed temperature, and carbonate that turns to bicarbonate
        expect(mixed.ph).toBeGreaterThan(Math.min(pond.ph, fill.ph) - slack)
        expect(mixed.ph).toBeLessThan(Math.max(pond.ph, fill.ph) + slack)
      }),
    ))
  it('of one water with itself is that water', () =>
    expect(mixedWater({ ...HARD, tanMgL: 0 }, HARD, 0.4).ph).toBeCloseTo(HARD.ph, 2))
})
