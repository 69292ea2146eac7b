import fc from 'fast-check'
import { fishLoad, fishMassKg, grownFish, holdingTank, rationShare } from '../fish/load'
import { FISH_SPECIES } from '../fish/species'
import { cleanoutQuantities, DEFAULT_KIT } from './cleanout-quantities'
import { cleanoutDuration } from './duration'
import { fishBackGate } from './fish-back-gate'
import { UNTESTED_FILL } from '../water/fill-water'
import { visitAmounts } from './visit-amounts'
import { jobInWords } from '../../../tests/fixtures/jobs-in-words'

const SPRING_CLEANOUT = jobInWords('spring-cleanout')

const pond = {
  waterM3: 12,
  maxDepthM: 1.1,
  fish: [{ species: 'koi' as const, count: 5, lengthM: 0.5 }],
  sourceChlorinated: true,
}

describe('fish', () => {
  it('weigh a·L³: a koi of 50 cm about two kilos', () => expect(fishMassKg('koi', 0.5)).toBeCloseTo(0.0165 * 125, 9))
  it('eat by temperature and give off ammonia after Timmons & Ebeling', () => {
    const load = fishLoad([{ species: 'koi', count: 10, lengthM: 0.5 }], 20, 0.35)
    expect(load.feedGPerD).toBeCloseTo(20.625 * 13, 6)
    expect(load.tanGPerD).toBeCloseTo(load.feedGPerD * 0.35 * 0.092, 9)
    expect([4, 8, 12, 18, 26, 30, 31].map(rationShare)).toEqual([0, 0.002, 0.006, 0.013, 0.01, 0.01, 0.005])
  })
  it('grow toward their adult length and never shrink', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 1.5, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (lengthM, years) => {
          const [grown] = grownFish([{ species: 'koi', count: 1, lengthM }], years)
          expect(grown!.lengthM).toBeGreaterThanOrEqual(lengthM)
          expect(grown!.lengthM).toBeLessThanOrEqual(Math.max(lengthM, FISH_SPECIES.koi.adultLengthM) + 1e-12)
        },
      ),
    )
  })
  it('need a tank of 10 kg per m³, twice their length across', () =>
    expect(holdingTank(pond.fish)).toEqual({ volumeM3: (5 * 2.0625) / 10, minWidthM: 1 }))
  it('cannot be a thousand million', () =>
    expect(() => fishLoad([{ species: 'koi', count: 1e9, lengthM: 0.5 }], 20, 0.35)).toThrow('fish.0.count'))
})

describe('cleanout quantities', () => {
  it('pumps, keeps and refills one volume', () => {
    const q = cleanoutQuantities(pond, DEFAULT_KIT, 0.5)
    expect(q.savedM3 + q.refillM3).toBeCloseTo(12, 12)
    expect(q.pumpOutMinutes).toBeCloseTo((12 / 18) * 60, 9)
    expect(q.dechlorinator.totalG).toBeCloseTo(q.refillM3 * 0.5 * 7, 9)
  })
  it('assumes chlorine until the tap is tested, and says so', () => {
    expect(cleanoutQuantities(pond, DEFAULT_KIT, null)).toMatchObject({ chlorineFrom: 'usual', chlorineMgL: 0.6 })
    expect(cleanoutQuantities(pond, DEFAULT_KIT, 0.3)).toMatchObject({ chlorineFrom: 'test', chlorineMgL: 0.3 })
  })
  it('goes by the site’s file before the tap is tested, and by the test after', () => {
    expect(cleanoutQuantities(pond, DEFAULT_KIT, null, 1.8)).toMatchObject({ chlorineFrom: 'file', chlorineMgL: 1.8 })
    expect(cleanoutQuantities(pond, DEFAULT_KIT, 0.3, 1.8)).toMatchObject({ chlorineFrom: 'test', chlorineMgL: 0.3 })
    const well = { ...pond, sourceChlorinated: false }
    expect(cleanoutQuantities(well, DEFAULT_KIT, null, 1.8).dechlorinator.totalG).toBe(0)
  })
  it('reckons with no more chloramine than the chlorine that was found today', () => {
    const fill = { ...UNTESTED_FILL, chlorineMgL: 2, chloramineMgL: 1.5 }
    const brings = (tapChlorineMgL: number | null) =>
      visitAmounts(pond, DEFAULT_KIT, { tapChlorineMgL, fill, khDH: 4, systemM3: 12, planted: true }).newWaterTanMgL
    expect(brings(null)).toBeCloseTo(0.296, 3)
    expect(brings(0.5)).toBeCloseTo(0.0988, 3)
    expect(brings(0)).toBe(0)
  })
  it('needs no dechlorinator for well water', () =>
    expect(cleanoutQuantities({ ...pond, sourceChlorinated: false }, DEFAULT_KIT, null).dechlorinator.totalG).toBe(0))
})

describe('duration', () => {
  const quantities = cleanoutQuantities(pond, DEFAULT_KIT, null)
  const total = (fish: number, area: number, crew: number) =>
    cleanoutDuration(quantities, fish, area, crew).totalMinutes
  it('is the sum of its parts', () => {
    const { parts, totalMinutes } = cleanoutDuration(quantities, 20, 40, 2)
    expect(parts.reduce((sum, p) => sum + p.minutes, 0)).toBeCloseTo(totalMinutes, 9)
  })
  it('grows with fish and stone, shrinks with hands, but pump and hose take their time', () => {
    expect(total(40, 40, 2)).toBeGreaterThan(total(20, 40, 2))
    expect(total(20, 60, 2)).toBeGreaterThan(total(20, 40, 2))
    expect(total(20, 40, 3)).toBeLessThan(total(20, 40, 2))
    expect(total(20, 40, 8)).toBeGreaterThan(quantities.pumpOutMinutes + quantities.refillMinutes - 60)
  })
  it('has no fish work where there are no fish', () => {
    const { parts } = cleanoutDuration(quantities, 0, 40, 2)
    expect(parts.filter((p) => p.part.startsWith('fish')).every((p) => p.minutes === 0)).toBe(true)
  })
})

describe('the gate before fish go back', () => {
  const safe = { waterTemp: 10, tankTemp: 9, ph: 7.4, tan: 0.1, nitrite: 0.1, dissolvedOxygen: 9, freeChlorine: 0 }
  const codes = (changes: object) => {
    const gate = fishBackGate({ ...safe, ...changes })
    return gate.status === 'safe' ? [] : gate.reasons.map((r) => r.code)
  }
  it('opens on a safe test', () => expect(fishBackGate(safe).status).toBe('safe'))
  it.each([
    ['no test', { tan: undefined }, ['not-tested']],
    ['chlorine', { freeChlorine: 0.05 }, ['chlorine']],
    ['a temperature step of over 3 °C', { tankTemp: 6 }, ['temperature-step']],
    ['toxic ammonia', { tan: 2, ph: 8.6, waterTemp: 20, tankTemp: 20 }, ['ammonia']],
    ['water too warm to handle fish', { waterTemp: 26, tankTemp: 26 }, ['too-cold-or-hot']],
    ['two things at once', { freeChlorine: 0.5, tankTemp: 4 }, ['chlorine', 'temperature-step']],
  ])('stays shut for %s', (_, changes, expected) => expect(codes(changes)).toEqual(expected))
  it('lets the same ammonia pass at low pH, because little of it is toxic', () =>
    expect(codes({ tan: 2, ph: 7 })).toEqual([]))
})

describe('the cleanout as data', () => {
  it('has a unique key for every step and asks only for readings it lists', () => {
    const keys = SPRING_CLEANOUT.steps.map((s) => s.key)
    expect(new Set(keys).size).toBe(keys.length)
    for (const step of SPRING_CLEANOUT.steps)
      for (const kind of step.required ?? []) expect(step.readings).toContain(kind)
  })
  it('tests the refilled pond before the fish go back, and isolates power before anyone is in the water', () => {
    const at = (key: string) => SPRING_CLEANOUT.steps.findIndex((s) => s.key === key)
    expect(at('test-refilled')).toBeLessThan(at('fish-back'))
    expect(at('isolate')).toBeLessThan(at('pump-down'))
    expect(SPRING_CLEANOUT.steps[at('isolate')]!.safety).toBeTruthy()
  })
})
