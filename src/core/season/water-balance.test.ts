import fc from 'fast-check'
import { STATIONS } from '../../../stand-ins/weather-desk/stations'
import { expectedEvaporationMmPerD, waterBalance, type LevelLog } from './water-balance'

const log = (dropMm: number, changes: Partial<LevelLog> = {}): LevelLog => ({
  day: '2027-07-10',
  hours: 24,
  dropMm,
  bucketDropMm: null,
  pumpOn: true,
  ...changes,
})
const balance = (logs: readonly LevelLog[]) => waterBalance(logs, () => 4, 30, '2027-07-10')

describe('expected evaporation', () => {
  const open = { shade: 0, windShare: 1, altitudeM: 20 }
  it('is a few millimetres on a summer day and little in winter', () => {
    const [summer, winter] = ['2027-07-10', '2027-01-10'].map((day) =>
      expectedEvaporationMmPerD(STATIONS[0]!.normals, open, day),
    )
    expect(summer).toBeGreaterThan(2)
    expect(summer).toBeLessThan(8)
    expect(winter).toBeLessThan(1.5)
  })
  it('is less in the shade and out of the wind', () =>
    expect(
      expectedEvaporationMmPerD(STATIONS[0]!.normals, { ...open, shade: 0.5, windShare: 0.4 }, '2027-07-10'),
    ).toBeLessThan(expectedEvaporationMmPerD(STATIONS[0]!.normals, open, '2027-07-10')))
})

describe('evaporation or a leak', () => {
  it('says nothing without logs but how much to top up', () =>
    expect(balance([])).toMatchObject({ advice: 'no-logs', topUpM3PerWeek: (4 * 1.2 * 7 * 30) / 1000 }))
  it('is evaporation when the bucket falls as far as the pond', () =>
    expect(balance([log(5, { bucketDropMm: 4.2 })]).advice).toBe('evaporation'))
  it('is the shell when it goes on with the pump off', () =>
    expect(balance([log(22), log(21, { pumpOn: false, bucketDropMm: 4 })]).advice).toBe('shell'))
  it('is falls, stream or filter edges when it is lost with the pump on only', () =>
    expect(balance([log(22), log(4, { pumpOn: false, bucketDropMm: 4 })]).advice).toBe('moving-water'))
  it('asks for a day with the pump off before it says where', () =>
    expect(balance([log(25)]).advice).toBe('try-pump-off'))
  it('grows surer with the excess and with more logs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 60, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (drop, more) => {
          const [a, b] = [balance([log(drop)]).on!, balance([log(drop + more)]).on!]
          expect(b.leakLikelihood).toBeGreaterThanOrEqual(a.leakLikelihood - 1e-9)
          expect(a.leakLikelihood).toBeGreaterThanOrEqual(0)
          expect(b.leakLikelihood).toBeLessThanOrEqual(1)
        },
      ),
    )
    expect(balance([log(10), log(10), log(10)]).on!.leakLikelihood).toBeGreaterThan(
      balance([log(10)]).on!.leakLikelihood,
    )
  })
})
