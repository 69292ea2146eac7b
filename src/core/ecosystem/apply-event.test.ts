import fc from 'fast-check'
import { applyEvent, RINSE } from './apply-event'
import type { PondDeed, PondEvent } from './events'
import { Ledger } from './ledger'
import { parameterValues } from './parameters'
import { bedSurfaceM2, maxOxidisers } from './processes/nitrification'
import { startRunning } from './running'
import { RUNOFF_FROM } from './runoff'
import { startState } from './start'
import { NITROGEN_IN, PHOSPHORUS_IN, STATE, STATE_NAMES, totalOf, type StateName } from './states'
import { SAMPLE_POND } from './trials/sample-pond'

const p = parameterValues()
const pond = {
  ...SAMPLE_POND,
  source: { ...SAMPLE_POND.source, tanMgL: 0.2, nitrateMgL: 4, phosphateMgL: 0.1, chlorineMgL: 0.5 },
}
const v = pond.volumeM3

/** A pond that has something of everything, after an event. */
function after(deed: PondDeed, begin: Partial<Record<StateName, number>> = {}) {
  const before = startState(pond, p, 'neglected', 200)
  for (const name of ['leaves', 'straw', 'silt', 'chlorine', 'bedMineral', 'salt'] as const) before[STATE[name]] = 10
  for (const [name, value] of Object.entries(begin)) before[STATE[name as StateName]] = value
  const y = before.slice()
  const running = startRunning(pond, 18)
  const ledger = new Ledger(y)
  applyEvent({ ...deed, day: 0 } as PondEvent, y, running, pond, p, ledger)
  const share = (name: StateName) => y[STATE[name]]! / before[STATE[name]]!
  return { before, y, running, ledger, share, mgL: (name: StateName) => y[STATE[name]]! / v }
}

const share = fc.double({ min: 0, max: 1, noNaN: true })
const deed: fc.Arbitrary<PondDeed> = fc.oneof(
  fc.record({
    kind: fc.constant('rinse-media' as const),
    share,
    water: fc.constantFrom('pond' as const, 'tap' as const),
  }),
  fc.record({
    kind: fc.constantFrom(
      'flush' as const,
      'wash-surfaces' as const,
      'vacuum' as const,
      'pull-string-algae' as const,
      'kill-algae' as const,
    ),
    share,
  }),
  fc.record({ kind: fc.constant('water-change' as const), fraction: share, dechlorinated: fc.boolean() }),
  fc.record({
    kind: fc.constant('cut' as const),
    plants: fc.constantFrom('marginals' as const, 'lilies' as const, 'floating' as const, 'submerged' as const),
    share,
  }),
  fc.record({ kind: fc.constant('raise-kh' as const), byDKH: fc.double({ min: 0, max: 5, noNaN: true }) }),
  fc.record({ kind: fc.constant('salt' as const), kg: fc.double({ min: 0, max: 50, noNaN: true }) }),
  fc.record({ kind: fc.constant('seed-bacteria' as const), share }),
  fc.record({
    kind: fc.constant('storm' as const),
    rainMm: fc.constant(30),
    siltGPerM3: fc.double({ min: 0, max: 500, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('runoff' as const),
    from: fc.constantFrom(...RUNOFF_FROM),
    volumeM3: fc.double({ min: 0, max: 20, noNaN: true }),
  }),
  fc.record({
    kind: fc.constantFrom('leaves' as const, 'carbon' as const),
    kg: fc.double({ min: 0, max: 60, noNaN: true }),
  }),
  fc.constant({ kind: 'flocculant' as const }),
  fc.constant({ kind: 'dechlorinate' as const }),
)

describe('what is done to a pond', () => {
  it('accounts for every gram of nitrogen and phosphorus, and leaves nothing below zero', () =>
    fc.assert(
      fc.property(deed, (event) => {
        const { y, ledger } = after(event)
        for (const nutrient of ['nitrogen', 'phosphorus'] as const)
          expect(ledger.budget(y, nutrient).error).toBeLessThan(1e-12)
        for (const [i, value] of y.entries()) expect([STATE_NAMES[i], value >= 0]).toEqual([STATE_NAMES[i], true])
      }),
    ))
  it('a water change mixes: half of it leaves the mean of both waters', () => {
    const { mgL, running } = after(
      { kind: 'water-change', fraction: 0.5, dechlorinated: true },
      { tan: 2 * v, nitrate: 20 * v, alkalinity: 100 * v },
    )
    expect(mgL('tan')).toBeCloseTo((2 + 0.2) / 2, 9)
    expect(mgL('nitrate')).toBeCloseTo((20 + 4) / 2, 9)
    expect(mgL('alkalinity')).toBeCloseTo((100 + pond.source.alkalinityMgL) / 2, 9)
    expect(running.waterC).toBeCloseTo((18 + pond.source.tempC) / 2, 9)
  })
  it('tap water brings its chlorine unless it is neutralised', () => {
    const change = { kind: 'water-change', fraction: 0.4 } as const
    expect(after({ ...change, dechlorinated: false }, { chlorine: 0 }).mgL('chlorine')).toBeCloseTo(0.4 * 0.5, 9)
    expect(after({ ...change, dechlorinated: true }, { chlorine: 0 }).mgL('chlorine')).toBe(0)
    expect(after({ kind: 'dechlorinate' }).y[STATE.chlorine]).toBe(0)
  })
  it('rinsing half in pond water spares most bacteria, all under the tap hardly any; neither touches the pond’s own surfaces', () => {
    const [half, tap] = [
      after({ kind: 'rinse-media', share: 0.5, water: 'pond' }),
      after({ kind: 'rinse-media', share: 1, water: 'tap' }),
    ]
    expect(half.share('bedAmmoniaOxidisers')).toBeCloseTo(1 - 0.5 * RINSE.pond.bacteria, 9)
    expect(tap.share('bedNitriteOxidisers')).toBeCloseTo(1 - RINSE.tap.bacteria, 9)
    expect(tap.share('pondAmmoniaOxidisers')).toBe(1)
    expect(tap.share('bedSludge')).toBeCloseTo(1 - RINSE.tap.sludge, 9)
  })
  it('what runs in raises the level and brings what its ground gives', () => {
    const road = after({ kind: 'runoff', from: 'road', volumeM3: 2 }, { salt: 0 })
    expect(road.y[STATE.salt]).toBeCloseTo(2 * 3000, 9)
    expect(road.running.levelMm).toBeCloseTo((2 / pond.areaM2) * 1000, 9)
    expect(road.ledger.budget(road.y, 'nitrogen').in.water).toBeGreaterThan(0)
  })
  it('leaves bring their soluble part, and whoever lifts them takes it out with them', () => {
    const { y } = after({ kind: 'leaves', kg: 4 }, { leaves: 0, leachable: 0 })
    expect(y[STATE.leaves]).toBeCloseTo(4000, 9)
    expect(y[STATE.leachable]).toBeCloseTo(4000 * p.leachPerLeaf, 9)
    expect(after({ kind: 'vacuum', share: 0.7 }, { leachable: 100 }).share('leachable')).toBeCloseTo(0.3, 9)
  })
  it('a flush takes sludge and leaves the bacteria', () => {
    const { share } = after({ kind: 'flush', share: 0.7 })
    expect([share('bedSludge'), share('bedMineral')].map((s) => Number(s.toFixed(9)))).toEqual([0.3, 0.3])
    expect(share('bedAmmoniaOxidisers')).toBe(1)
  })
  it('seeding fills the bed by a share of its room, never past it', () => {
    const max = maxOxidisers(p, bedSurfaceM2(p, pond))
    const { y } = after({ kind: 'seed-bacteria', share: 0.1 }, { bedAmmoniaOxidisers: 0, bedNitriteOxidisers: 0 })
    expect(y[STATE.bedAmmoniaOxidisers]).toBeCloseTo(0.1 * max.ammonia, 9)
    expect(y[STATE.bedNitriteOxidisers]).toBeCloseTo(0.1 * max.nitrite, 9)
    expect(after({ kind: 'seed-bacteria', share: 1 }).y[STATE.bedAmmoniaOxidisers]).toBeCloseTo(max.ammonia, 9)
  })
  it('a degree of hardness is 17.848 mg/L, and a kilogram of salt a kilogram', () => {
    const kh = after({ kind: 'raise-kh', byDKH: 2 })
    expect((kh.y[STATE.alkalinity]! - kh.before[STATE.alkalinity]!) / v).toBeCloseTo(35.696, 9)
    expect(after({ kind: 'salt', kg: 3 }, { salt: 0 }).y[STATE.salt]).toBe(3000)
  })
  it('algae that are killed stay in the pond and feed the water; flocculant brings them down', () => {
    const killed = after({ kind: 'kill-algae', share: 0.9 })
    expect(killed.share('phytoplankton')).toBeCloseTo(0.1, 9)
    expect(killed.y[STATE.tan]).toBeGreaterThan(killed.before[STATE.tan]!)
    expect(killed.y[STATE.seston]).toBeGreaterThan(killed.before[STATE.seston]!)
    const floc = after({ kind: 'flocculant' })
    // clay clots into flocs that settle soon; none of it is gone yet
    expect(floc.share('silt')).toBeCloseTo(0.05, 9)
    expect(floc.y[STATE.dust]! + floc.y[STATE.silt]!).toBeCloseTo(
      floc.before[STATE.dust]! + floc.before[STATE.silt]!,
      9,
    )
    expect(floc.y[STATE.sediment]).toBeGreaterThan(floc.before[STATE.sediment]!)
    for (const { before, y } of [killed, floc])
      for (const content of [NITROGEN_IN, PHOSPHORUS_IN])
        expect(totalOf(y, content)).toBeCloseTo(totalOf(before, content), 6)
  })
  it('cutting takes the stand and, of the bed’s, its straw; a vacuum takes the floor and its leaves', () => {
    const cut = after({ kind: 'cut', plants: 'marginals', share: 0.8 })
    expect([cut.share('marginals'), cut.share('straw'), cut.share('lilies')].map((s) => Number(s.toFixed(9)))).toEqual([
      0.2, 0.2, 1,
    ])
    expect(after({ kind: 'cut', plants: 'lilies', share: 0.8 }).share('straw')).toBe(1)
    const vacuum = after({ kind: 'vacuum', share: 0.4 })
    for (const name of ['sediment', 'muck', 'leaves'] as const) expect(vacuum.share(name)).toBeCloseTo(0.6, 9)
  })
  it('a vacuumed floor of old sludge takes oxygen and lets ammonia, phosphate and fine matter out, in proportion to what is worked', () => {
    const [section, whole] = [0.1, 0.5].map((share) => after({ kind: 'vacuum', share }))
    for (const name of ['tan', 'phosphate', 'seston'] as const) {
      const more = (of: typeof section) => of!.share(name) - 1
      expect(more(section)).toBeGreaterThan(0)
      expect(more(whole) / more(section)).toBeCloseTo(5, 6)
    }
    expect(section!.share('oxygen')).toBeLessThan(1)
    expect(whole!.share('oxygen')).toBeLessThan(section!.share('oxygen'))
    expect(whole!.share('oxygen')).toBeGreaterThan(0)
  })
  it('switches stay as they are set, and feed changes only what is said', () => {
    expect(after({ kind: 'pump', running: false }).running.pump).toBe(false)
    expect(after({ kind: 'uv', on: true }).running.uv).toBe(true)
    expect(after({ kind: 'net', keptShare: 0.9 }).running.leafKeptShare).toBe(0.9)
    const { running } = after({ kind: 'feed', factor: 0.5 })
    expect([running.feedFactor, running.protein, running.feedFromC]).toEqual([
      0.5,
      pond.fish.protein,
      pond.fish.feedFromC,
    ])
    expect(after({ kind: 'fish', massKg: -1e6 }).running.fishMassKg).toBe(0)
  })
})
