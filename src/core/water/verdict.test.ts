import fc from 'fast-check'
import { ammoniaBand, unionisedAmmonia } from './ammonia'
import { TOGETHER_DAYS, toxicAmmoniaOverTime, verdictOfLatest, waterVerdict, type DatedReading } from './verdict'
import { READING_KINDS, type ReadingKindName } from './readings'

describe('one verdict for ammonia, by NH3', () => {
  it('TAN 0.5 at pH 9.3, 26 °C is an emergency', () => {
    const verdict = waterVerdict({ tan: 0.5, ph: 9.3, waterTemp: 26 })
    expect(verdict.nh3MgL).toBeCloseTo(0.274, 3)
    expect(verdict.bands.tan).toBe('emergency')
    expect(verdict.ammoniaBasis).toBe('nh3')
  })
  it('TAN 3 at pH 6.5, 10 °C is harmless', () => {
    const verdict = waterVerdict({ tan: 3, ph: 6.5, waterTemp: 10 })
    expect(verdict.nh3MgL).toBeLessThan(0.002)
    expect(verdict.bands.tan).toBe('fine')
  })
  it('goes by the total alone where pH or temperature is missing, and says which', () => {
    expect(waterVerdict({ tan: 1 })).toMatchObject({
      bands: { tan: 'act' },
      nh3MgL: null,
      ammoniaBasis: 'tan-alone',
      missing: ['ph', 'waterTemp'],
    })
    expect(waterVerdict({ tan: 1, ph: 7 }).missing).toEqual(['waterTemp'])
    expect(waterVerdict({ ph: 7, kh: 4 })).toMatchObject({ ammoniaBasis: null, missing: [] })
  })
  it('is the band of the toxic share, whatever the water', () => {
    const within = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    fc.assert(
      fc.property(within(0, 20), within(5, 10.5), within(0, 35), (tan, ph, waterTemp) => {
        expect(waterVerdict({ tan, ph, waterTemp }).bands.tan).toBe(
          ammoniaBand(unionisedAmmonia(tan, ph, waterTemp).nh3MgL),
        )
      }),
    )
  })
})

describe('the other readings', () => {
  it('GH 1 and KH 1 are not fine', () => expect(waterVerdict({ gh: 1, kh: 1 }).bands).toEqual({ gh: 'act', kh: 'act' }))
  it('gives a verdict on every given reading, and on no other', () => {
    const usual = Object.fromEntries(
      Object.entries(READING_KINDS).map(([kind, { likely }]) => [kind, (likely[0] + likely[1]) / 2]),
    )
    expect(Object.keys(waterVerdict(usual).bands).sort()).toEqual(Object.keys(READING_KINDS).sort())
    expect(waterVerdict({}).bands).toEqual({})
  })
  it('knows carbon dioxide: 4 °dH at pH 7 is about 12 mg/L at 25 °C', () => {
    const co2 = waterVerdict({ ph: 7, kh: 4, waterTemp: 25 }).co2MgL!
    expect(co2).toBeGreaterThan(11)
    expect(co2).toBeLessThan(15)
  })
  it('knows saturation: 9.09 mg/L is all that water of 20 °C holds, and less holds it higher up', () => {
    expect(waterVerdict({ dissolvedOxygen: 9.09, waterTemp: 20 }).oxygenSaturation).toBeCloseTo(1, 2)
    expect(waterVerdict({ dissolvedOxygen: 9.09, waterTemp: 20 }, 900).oxygenSaturation).toBeGreaterThan(1.1)
  })
})

describe('the newest tests of a pond', () => {
  const test = (kind: ReadingKindName, value: number, day: number): DatedReading => ({
    kind,
    value,
    takenAt: `2026-07-${String(day).padStart(2, '0')}T10:00:00Z`,
  })
  it('judges ammonia by pH and temperature of the same days', () => {
    const found = verdictOfLatest([
      test('tan', 0.5, 10),
      test('ph', 9.3, 10 - TOGETHER_DAYS),
      test('waterTemp', 26, 11),
    ])
    expect([found.bands.tan, found.missing]).toEqual(['emergency', []])
  })
  it('does not judge it by last month’s', () => {
    const found = verdictOfLatest([test('tan', 0.5, 28), test('ph', 9.3, 1), test('waterTemp', 26, 28)])
    expect(found).toMatchObject({ bands: { tan: 'watch' }, nh3MgL: null, missing: ['ph'] })
  })
  it('takes the newest of each kind, in whatever order they come', () => {
    const lines = [test('nitrite', 2, 1), test('nitrite', 0.05, 9), test('nitrite', 0.7, 5)]
    expect(verdictOfLatest(lines).bands.nitrite).toBe('fine')
    expect(verdictOfLatest([...lines].reverse()).bands.nitrite).toBe('fine')
  })
  it('counts a test that saw nothing as none', () => {
    expect(verdictOfLatest([{ ...test('nitrite', 0.6, 1), belowStep: true }]).bands.nitrite).toBe('fine')
  })
})

describe('toxic ammonia over time', () => {
  const at = (kind: DatedReading['kind'], value: number, day: string, belowStep = false): DatedReading => ({
    kind,
    value,
    belowStep,
    takenAt: `${day}T10:00:00Z`,
  })
  it('follows from each ammonia test with the pH and temperature of its own days', () => {
    const lines = toxicAmmoniaOverTime([
      at('tan', 0.5, '2026-07-20'),
      at('ph', 9.3, '2026-07-20'),
      at('waterTemp', 26, '2026-07-21'),
      at('tan', 3, '2026-03-10'),
      at('ph', 6.5, '2026-03-10'),
      at('waterTemp', 10, '2026-03-08'),
    ])
    expect(lines.map((l) => [l.takenAt.slice(0, 10), Number(l.nh3MgL.toFixed(3))])).toEqual([
      ['2026-03-10', 0.002],
      ['2026-07-20', 0.274],
    ])
  })
  it('takes the nearest of several, and nothing found for none', () => {
    const lines = toxicAmmoniaOverTime([
      at('tan', 0.25, '2026-07-20', true),
      at('ph', 7, '2026-07-18'),
      at('ph', 9, '2026-07-20'),
      at('waterTemp', 20, '2026-07-20'),
    ])
    expect(lines).toEqual([{ takenAt: '2026-07-20T10:00:00Z', nh3MgL: 0 }])
  })
  it('is left out where pH or temperature is of other days', () => {
    expect(
      toxicAmmoniaOverTime([
        at('tan', 0.5, '2026-07-20'),
        at('ph', 9.3, '2026-07-10'),
        at('waterTemp', 26, '2026-07-20'),
      ]),
    ).toEqual([])
  })
})
