import fc from 'fast-check'
import { STATIONS } from '../../../stand-ins/weather-desk/stations'
import { expectedEvaporationMmPerD, waterBalance, type LevelLog } from './water-balance'

const log = (dropMm: number, changes: Partial<LevelLog> = {}): LevelLog => ({
  day: '2027-07-10',
  hours: 24,
  dropMm,
  bucketDropMm: null,
  pumpOn: true,
  addedM3: 0,
  ...changes,
})
const dry = { evaporationMm: 4, rainMm: 0, observed: true }
const balance = (logs: readonly LevelLog[], weather = dry) => waterBalance(logs, () => weather, 30, '2027-07-10')
const likelihood = (logs: readonly LevelLog[], weather = dry) => 1 - balance(logs, weather).leak!.none

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
    expect(balance([log(22), log(22), log(4, { pumpOn: false, bucketDropMm: 4 })]).advice).toBe('moving-water'))
  it('asks for a day with the pump off before it says where', () =>
    expect(balance([log(25)]).advice).toBe('try-pump-off'))
  it('big falls alone make no leak: a day with the pump off is asked for', () => {
    const falls = [log(9, { bucketDropMm: 5 }), log(8, { bucketDropMm: 5 }), log(9, { bucketDropMm: 5 })]
    expect(['undecided', 'evaporation']).toContain(balance(falls).advice)
    expect(likelihood([...falls, log(5, { pumpOn: false, bucketDropMm: 5 })])).toBeLessThan(0.88)
  })
  it('takes rain and what was added for water that went as well', () => {
    const rain = { ...dry, rainMm: 12 }
    // the level stands still in the rain: 12 mm went somewhere
    expect(likelihood([log(0), log(0)], rain)).toBeGreaterThan(likelihood([log(0), log(0)]) + 0.2)
    // 0.3 m³ on 30 m² is 10 mm
    expect(balance([log(0, { addedM3: 0.3 })]).on!.measuredMmPerD).toBeCloseTo(10, 9)
    expect(balance([log(0, { addedM3: 0.3, hours: 48 })]).on!.measuredMmPerD).toBeCloseTo(5, 9)
  })
  it('the bucket stands in the same rain', () =>
    expect(balance([log(-8, { bucketDropMm: -8 })], { ...dry, rainMm: 12 }).advice).toBe('evaporation'))
  it('counts the weather of the days between the looks', () => {
    const byDay = (date: string) => ({ ...dry, evaporationMm: date === '2027-07-10' ? 8 : 2 })
    const still = (hours: number) =>
      waterBalance([log(5, { pumpOn: false, hours })], byDay, 30, '2027-07-10').off!.expectedMmPerD
    // noon to noon: half of each day
    expect(still(24)).toBeCloseTo(5, 9)
    expect(still(48)).toBeCloseTo((8 / 2 + 2 + 2 / 2) / 2, 9)
  })
  it('looks with weather that was not observed are believed less', () =>
    expect(likelihood([log(11)], { ...dry, observed: false })).toBeLessThan(likelihood([log(11)])))
  it('grows surer with the excess and with more logs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 40, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (drop, more) => {
          const [a, b] = [likelihood([log(drop)]), likelihood([log(drop + more)])]
          expect(b).toBeGreaterThanOrEqual(a - 0.005)
          expect(a).toBeGreaterThanOrEqual(0)
          expect(b).toBeLessThanOrEqual(1)
        },
      ),
    )
    // a torn liner is no slip of the ruler
    expect(likelihood([log(300)])).toBeGreaterThan(0.95)
    expect(likelihood([log(12), log(12), log(12)])).toBeGreaterThan(likelihood([log(12)]))
  })
  it('refuses figures that cannot be, by name', () =>
    expect(() => balance([log(5, { addedM3: -1 })])).toThrow(/addedM3/))
})
