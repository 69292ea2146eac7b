import { goldenSolve } from '../../../../tests/fixtures/golden-solver'
import fc from 'fast-check'
import { Environment } from '../environment'
import { EmbeddedPair } from '../../numeric/embedded-pair'
import { parameterValues } from '../parameters'
import type { Process } from '../process'
import { NITROGEN_IN, PHOSPHORUS_IN, STATE, STATE_COUNT, STATE_NAMES, totalOf, type StateName } from '../states'
import { startState } from '../start'
import { PondSystem } from '../system'
import { SAMPLE_POND } from '../trials/sample-pond'
import { BedCapture } from './bed-capture'
import { Carcasses } from './carcasses'
import { DeadMatter } from './dead-matter'
import { Filamentous } from './filamentous'
import { FishAndFeed } from './fish'
import { fallsShare, GasExchange } from './gas'
import { Leachate } from './leachate'
import { Nitrification } from './nitrification'
import { Phytoplankton } from './phytoplankton'
import { Plants } from './plants'
import { Chlorine, Denitrification, PhosphorusSorption } from './sinks'

const p = parameterValues()
const pond = { ...SAMPLE_POND, plants: { marginalShare: 0.5, lilyShare: 0.2, floatingShare: 0.2, submergedShare: 0.2 } }
const processes: Record<string, () => Process> = {
  fish: () => new FishAndFeed(p),
  nitrification: () => new Nitrification(p, pond),
  'dead matter': () => new DeadMatter(p),
  phytoplankton: () => new Phytoplankton(p),
  'string algae': () => new Filamentous(p),
  plants: () => new Plants(p, pond),
  gas: () => new GasExchange(p, pond),
  'bed capture': () => new BedCapture(p),
  denitrification: () => new Denitrification(p, pond),
  sorption: () => new PhosphorusSorption(p, pond),
  chlorine: () => new Chlorine(p),
  leachate: () => new Leachate(p),
  carcasses: () => new Carcasses(p),
}

/** An hour of a summer noon, changed where a test asks for it. */
function summer(changes: Partial<Environment> = {}): Environment {
  return Object.assign(new Environment(), {
    dayOfYear: 190,
    dayLengthH: 15,
    daysShorten: true,
    waterC: 21,
    lightW: 180,
    perM3: 1 / pond.volumeM3,
    areaM2: pond.areaM2,
    depthM: 0.8,
    bedFlowM3PerD: 192,
    capturePerD: 0.7,
    fishMassKg: 12,
    fishKgPerM3: 0.6,
    feedEatenGPerD: 150,
    ...changes,
  })
}

const water = (changes: Partial<Record<StateName, number>> = {}): Float64Array => {
  const y = startState(pond, p, 'settled', 190)
  for (const [name, value] of Object.entries(changes)) y[STATE[name as StateName]] = value
  return y
}

function ratesOf(process: Process, env: Environment, y: Float64Array): Float64Array {
  const dy = new Float64Array(STATE_COUNT)
  process.hour(env)
  process.rates(y, dy)
  return dy
}
const rate = (dy: Float64Array, name: StateName) => dy[STATE[name]]

const anyWater = fc
  .array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: STATE_COUNT, maxLength: STATE_COUNT })
  .map((shares) =>
    Float64Array.from(STATE_NAMES, (name, i) => {
      const amount = () => {
        if (name === 'bedMaturity' || name === 'tuftGrazers') return 1
        if (name === 'bedOxygen') return 10
        return 3000
      }

      return shares[i]! ** 2 * amount()
    }),
  )
const anyHour = fc
  .record({
    waterC: fc.double({ min: 0, max: 34, noNaN: true }),
    lightW: fc.double({ min: 0, max: 400, noNaN: true }),
    bedRunning: fc.boolean(),
    bedWetShare: fc.constantFrom(0, 0.5, 1),
    iceShare: fc.double({ min: 0, max: 1, noNaN: true }),
    leafCover: fc.double({ min: 0, max: 0.9, noNaN: true }),
    feedEatenGPerD: fc.double({ min: 0, max: 500, noNaN: true }),
    feedLeftGPerD: fc.double({ min: 0, max: 500, noNaN: true }),
    feedProtein: fc.double({ min: 0.1, max: 0.5, noNaN: true }),
    leavesGPerD: fc.double({ min: 0, max: 300, noNaN: true }),
    daysShorten: fc.boolean(),
    dayLengthH: fc.double({ min: 8, max: 16, noNaN: true }),
  })
  .map((hour) => summer({ ...hour, bedFlowM3PerD: hour.bedRunning ? 192 : 0, capturePerD: hour.bedRunning ? 0.7 : 0 }))

describe('every process', () => {
  it.each(Object.keys(processes))('%s: makes and destroys no nitrogen and no phosphorus', (name) => {
    fc.assert(
      fc.property(anyHour, anyWater, (env, y) => {
        const process = processes[name]!()
        const dy = ratesOf(process, env, y)
        // what comes from outside or goes there for good
        const nitrogenIn = () => {
          if (name === 'fish') return (process as FishAndFeed).nitrogenIn - (process as FishAndFeed).nitrogenKept
          if (name === 'dead matter') return env.leavesGPerD * 0.01
          return 0
        }
        const inN = nitrogenIn()
        const phosphorusIn = () => {
          if (name === 'fish') return (process as FishAndFeed).phosphorusIn - (process as FishAndFeed).phosphorusKept
          if (name === 'dead matter') return env.leavesGPerD * 0.001
          return 0
        }
        const inP = phosphorusIn()
        const gone = dy[STATE.denitrified]!
        const scale = 1e-12 + dy.reduce((sum, value) => sum + Math.abs(value), 0)
        expect(Math.abs(totalOf(dy, NITROGEN_IN) + gone - inN) / scale).toBeLessThan(1e-9)
        expect(Math.abs(totalOf(dy, PHOSPHORUS_IN) - inP) / scale).toBeLessThan(1e-9)
      }),
      { numRuns: 80, seed: 5 },
    )
  })

  it.each(Object.keys(processes))('%s: takes nothing from what is not there', (name) => {
    fc.assert(
      fc.property(anyHour, anyWater, fc.integer({ min: 0, max: STATE_COUNT - 1 }), (env, y, empty) => {
        y[empty] = 0
        const dy = ratesOf(processes[name]!(), env, y)
        expect(dy[empty]).toBeGreaterThanOrEqual(-1e-9)
        expect(dy.every(Number.isFinite)).toBe(true)
      }),
      { numRuns: 200, seed: 6 },
    )
  })
})

describe('nitrification', () => {
  const bed = (env: Partial<Environment>, y = water({ tan: 10, nitrite: 4 })) =>
    ratesOf(new Nitrification(p, pond), summer(env), y)
  it('uses 7.14 g of alkalinity and up to 4.57 g of oxygen per gram of ammonia', () => {
    const dy = bed({})
    const first = -rate(dy, 'tan')!
    const second = rate(dy, 'nitrate')
    expect(rate(dy, 'alkalinity')! / -first).toBeCloseTo(7.14, 9)
    expect(rate(dy, 'oxygen')).toBeCloseTo(-(3.43 * first + 1.14 * second!), 9)
  })
  it('is faster in warm water, with more flow, and with more oxygen', () => {
    const used = (env: Partial<Environment>, y?: Float64Array) => -rate(bed(env, y), 'tan')!
    expect(used({ waterC: 21 })).toBeGreaterThan(1.8 * used({ waterC: 11 }))
    expect(used({ bedFlowM3PerD: 192 })).toBeGreaterThan(used({ bedFlowM3PerD: 48 }))
    expect(used({})).toBeGreaterThan(2 * used({}, water({ tan: 10, nitrite: 4, oxygen: 10 })))
  })
  it('never treats more than passes', () => {
    const y = water({ tan: 10, bedAmmoniaOxidisers: 500, pondAmmoniaOxidisers: 0 })
    expect(-rate(bed({ bedFlowM3PerD: 20 }, y), 'tan')!).toBeLessThanOrEqual(20 * 0.5 + 1e-9)
  })
  it('lets bacteria die ten times as fast in a dry bed', () => {
    const starved = water({ tan: 0, nitrite: 0 })
    const calm = rate(bed({}, starved), 'bedAmmoniaOxidisers')
    const dry = rate(bed({ bedRunning: false, bedFlowM3PerD: 0, bedWetShare: 0 }, starved), 'bedAmmoniaOxidisers')
    expect(dry! / calm!).toBeGreaterThan(9)
    expect(dry! / calm!).toBeLessThan(11)
  })
  it('uses up the oxygen in the pores of a stopped bed within hours', () => {
    const dy = bed({ bedRunning: false, bedFlowM3PerD: 0 }, water({ bedOxygen: 7, tan: 10 }))
    const hours = (7 / -rate(dy, 'bedOxygen')!) * 24
    expect(hours).toBeGreaterThan(0.05)
    expect(hours).toBeLessThan(12)
  })
})

describe('algae', () => {
  const growth = (env: Partial<Environment>, y = water()) =>
    rate(ratesOf(new Phytoplankton(p), summer(env), y), 'phytoplankton')
  it('grow by day and shrink by night', () => {
    expect(growth({ capturePerD: 0 })).toBeGreaterThan(0)
    expect(growth({ lightW: 0 })).toBeLessThan(0)
  })
  it('are held back by a bed, a lamp, shade, want of phosphorus and a pH that locks carbon away', () => {
    const free = growth({ capturePerD: 0 })
    expect(growth({})).toBeLessThan(free!)
    expect(growth({ capturePerD: 0, uvFlowM3PerD: 192 })).toBeLessThan(free!)
    // at ten turnovers an hour nothing outgrows the lamp
    expect(growth({ capturePerD: 0, uvFlowM3PerD: 4800 })).toBeLessThan(0)
    expect(growth({ capturePerD: 0, leafCover: 0.8 })).toBeLessThan(free!)
    expect(growth({ capturePerD: 0 }, water({ phosphate: 0 }))).toBeLessThan(0)
    expect(growth({ capturePerD: 0, ph: 10.5 })).toBeLessThan(0.3 * growth({ capturePerD: 0, ph: 8 })!)
  })
})

describe('gas', () => {
  const oxygen = (env: Partial<Environment>, of = pond) =>
    rate(ratesOf(new GasExchange(p, of), summer(env), water({ oxygen: 60 })), 'oxygen')
  it('goes toward saturation, and not through closed ice', () => {
    expect(oxygen({ bedFlowM3PerD: 0 })).toBeGreaterThan(0)
    expect(oxygen({ bedFlowM3PerD: 0, iceShare: 1 })).toBe(0)
    expect(rate(ratesOf(new GasExchange(p, pond), summer(), water({ oxygen: 300 })), 'oxygen')).toBeLessThan(0)
  })
  it('is helped by falls and aerators', () => {
    expect(oxygen({})).toBeGreaterThan(oxygen({ bedFlowM3PerD: 0 })!)
    expect(oxygen({ aeratorGPerD: 100, bedFlowM3PerD: 0 })).toBeGreaterThan(oxygen({ bedFlowM3PerD: 0 })!)
  })
  it('over a fall of a metre makes good a third to a half of the deficit in clean water at 20 °C', () => {
    // r = 1.65–1.9 for a·b = 1–1.4 in the published formula
    expect(fallsShare(1, 1, 20)).toBeCloseTo(1 - 1 / (1 + 0.38 * 0.89 * 1.92), 9)
    expect(fallsShare(0, 1, 20)).toBe(0)
    expect(fallsShare(3, 1, 20)).toBeGreaterThan(fallsShare(1, 1, 20))
  })
})

describe('all processes together', () => {
  it('agree over two days with an independent extrapolation solver', () => {
    const env = summer({ lightW: 90, feedEatenGPerD: 200, leavesGPerD: 20 })
    const start = startState(pond, p, 'green', 190, { waterC: 21 })
    start[STATE.floating] = 500
    const system = new PondSystem(p, pond)
    system.hour(env)
    const ours = start.slice()
    const absolute = new Float64Array(STATE_COUNT).fill(2e-3 * pond.volumeM3)
    new EmbeddedPair(system, { relative: 2e-3, absolute }).advance(ours, 0, 2)
    const rates = (_t: number, y: number[]) => {
      const dy = new Float64Array(STATE_COUNT)
      system.rates(0, Float64Array.from(y), dy)
      return [...dy]
    }
    const golden = goldenSolve(rates, 0, [...start], 2, 1e-10)
    STATE_NAMES.forEach((name, i) => {
      const error = Math.abs(ours[i]! - golden[i]!) / (Math.abs(golden[i]!) + 0.02 * pond.volumeM3)
      expect({ name, error: error < 0.005 }).toEqual({ name, error: true })
    })
  })
})
