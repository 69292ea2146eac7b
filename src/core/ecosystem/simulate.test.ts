import { seededRandom } from '../numeric/random'
import { weatherYear } from '../season/weather-year'
import { weatherWithEvents, type PondEvent } from './events'
import { NO_ECO_GUESTS } from './guests'
import { OUTPUT_NAMES } from './outputs'
import { simulate, type EcoRun } from './simulate'
import { STATE } from './states'
import { SAMPLE_POND, SAMPLE_STATION } from './trials/sample-pond'

const year = weatherYear(SAMPLE_STATION, seededRandom(3))
const RUN: EcoRun = {
  pond: SAMPLE_POND,
  weather: [...year, ...year],
  startDay: 1,
  days: 365,
  events: [],
  start: { kind: 'settled' },
  every: 'day',
}

const BUSY: PondEvent[] = [
  { day: 75, kind: 'water-change', fraction: 0.9, dechlorinated: true },
  { day: 75, kind: 'vacuum', share: 0.8 },
  { day: 80, kind: 'rinse-media', share: 0.5, water: 'pond' },
  { day: 110, kind: 'fish', massKg: 4 },
  { day: 120.5, kind: 'pump', running: false },
  { day: 121.6, kind: 'pump', running: true },
  { day: 140, kind: 'feed', factor: 2.2, protein: 0.45 },
  { day: 150, kind: 'heatwave', days: 6, warmerC: 7 },
  { day: 160, kind: 'storm', rainMm: 60, siltGPerM3: 40 },
  { day: 161, kind: 'flocculant' },
  { day: 162, kind: 'runoff', from: 'manure', volumeM3: 2 },
  { day: 163, kind: 'dust', gPerM3: 30 },
  { day: 170, kind: 'kill-algae', share: 0.8 },
  { day: 180, kind: 'water-change', fraction: 0.25, dechlorinated: false },
  { day: 190, kind: 'cut', plants: 'marginals', share: 0.5 },
  { day: 195, kind: 'pull-string-algae', share: 0.7 },
  { day: 197, kind: 'wash-surfaces', share: 0.5 },
  { day: 200, kind: 'flush', share: 0.8 },
  { day: 210, kind: 'seed-bacteria', share: 0.05 },
  { day: 220, kind: 'raise-kh', byDKH: 2 },
  { day: 221, kind: 'salt', kg: 20 },
  { day: 280, kind: 'net', keptShare: 0.95 },
  { day: 281, kind: 'leaves', kg: 6 },
  { day: 290, kind: 'carbon', kg: 2 },
  { day: 320, kind: 'aerator', gPerD: 80 },
  { day: 321, kind: 'ice-hole', open: true },
]

describe('a year of a pond', () => {
  const quiet = simulate(RUN)
  const busy = simulate({
    ...RUN,
    events: BUSY,
    pond: { ...SAMPLE_POND, source: { ...SAMPLE_POND.source, chlorineMgL: 0.4 }, leakMmPerD: 3 },
  })

  const visited = simulate({
    ...RUN,
    pond: {
      ...SAMPLE_POND,
      guests: { ...NO_ECO_GUESTS, feedGPerD: 60, nitrogenGPerD: 3, phosphorusGPerD: 0.6, bathingNitrogenGPerD: 4 },
    },
  })
  it.each([
    ['what visitors throw', { feedGPerD: 60 }, 'nitrate'],
    ['ducks, by their nitrogen', { nitrogenGPerD: 3 }, 'nitrate'],
    ['ducks, by their phosphorus', { phosphorusGPerD: 0.6 }, 'phosphate'],
    ['bathers, by their nitrogen', { bathingNitrogenGPerD: 4 }, 'nitrate'],
    ['bathers, by their phosphorus', { bathingPhosphorusGPerD: 0.6 }, 'phosphate'],
  ] as const)('%s reaches the water', (_, guests, key) => {
    const mean = (result: typeof quiet) => result.series[key].reduce((a, b) => a + b, 0) / result.series[key].length
    const alone = simulate({ ...RUN, pond: { ...SAMPLE_POND, guests: { ...NO_ECO_GUESTS, ...guests } } })
    expect(mean(alone)).toBeGreaterThan(1.05 * mean(quiet))
  })
  it('nobody bathes in cold water', () => {
    const guests = { ...NO_ECO_GUESTS, bathingNitrogenGPerD: 4, bathingFromC: 40 }
    expect(simulate({ ...RUN, pond: { ...SAMPLE_POND, guests } }).series.nitrate).toEqual(quiet.series.nitrate)
  })

  it.each([
    ['quiet', quiet],
    ['visited', visited],
    ['busy', busy],
  ])('closes its budgets of nitrogen and phosphorus: %s', (_name, result) => {
    expect(result.status).toBe('done')
    expect(result.nitrogen.error).toBeLessThan(1e-3)
    expect(result.phosphorus.error).toBeLessThan(1e-3)
    for (const budget of [result.nitrogen, result.phosphorus]) {
      const held = Object.values(budget.held).reduce((a, b) => a + b, 0)
      expect(held).toBeCloseTo(budget.end, 6)
    }
  })

  it('accounts for nitrogen where keepers look for it', () => {
    expect(quiet.nitrogen.in.feed).toBeGreaterThan(500)
    expect(quiet.nitrogen.out.air).toBeGreaterThan(0)
    expect(quiet.nitrogen.out.takenOut).toBe(0)
    expect(busy.nitrogen.out.takenOut).toBeGreaterThan(20)
  })

  it('stays within what a pond can be', () => {
    for (const { series } of [quiet, busy]) {
      for (const name of OUTPUT_NAMES)
        expect(series[name].every((value) => Number.isFinite(value) && (name === 'levelMm' || value >= 0))).toBe(true)
      expect(Math.max(...series.waterC)).toBeLessThan(36)
      expect(Math.max(...series.ph)).toBeLessThan(11)
      expect(Math.min(...series.ph)).toBeGreaterThan(5)
      expect(Math.max(...series.oxygen)).toBeLessThan(20)
    }
    expect(Math.max(...quiet.series.iceM)).toBeGreaterThan(0.02)
  })

  it('kills no fish in a past in which nobody found any dead, and kills them in one that is foretold', () => {
    const still = { ...SAMPLE_POND, fallM: 0, filter: { ...SAMPLE_POND.filter, flowM3PerH: 0 } }
    const crowded = { ...RUN, pond: { ...still, fish: { ...still.fish, massKg: 80 } } }
    const [past, foretold] = [simulate({ ...crowded, fishKept: true }), simulate(crowded)]
    expect(past.end.running).toMatchObject({ fishMassKg: 80, fishAlive: 1, fishCondition: 1 })
    expect(Math.max(...past.series.carcassesG)).toBe(0)
    expect(foretold.end.running.fishMassKg).toBeLessThan(40)
    expect(foretold.nitrogen.in.deadFish).toBeGreaterThan(0)
    expect(foretold.nitrogen.error).toBeLessThan(1e-3)
  })
  it('is the same each time', () => expect(simulate(RUN).series.tan).toEqual(quiet.series.tan))

  it('goes on from where an earlier run ended as if it had never stopped', () => {
    const first = simulate({ ...RUN, days: 120 })
    const second = simulate({ ...RUN, weather: RUN.weather.slice(120), startDay: 121, days: 60, start: first.end })
    const whole = simulate({ ...RUN, days: 180 })
    expect(second.series.tan.at(-1)! / whole.series.tan.at(-1)!).toBeCloseTo(1, 3)
    expect(second.series.chlorophyll.at(-1)).toBeCloseTo(whole.series.chlorophyll.at(-1)!, 2)
    // the run it went on from is left as it was
    expect(first.end.y[STATE.tan]).toBe(simulate({ ...RUN, days: 120 }).end.y[STATE.tan])
  })

  it('a run that goes on reads its first day as one that never stopped does', () => {
    const first = simulate({ ...RUN, startDay: 152, days: 10, weather: year.slice(151) })
    const after = simulate({ ...RUN, startDay: 162, days: 3, weather: year.slice(161), start: first.end })
    const whole = simulate({ ...RUN, startDay: 152, days: 13, weather: year.slice(151) })
    for (const name of ['waterC', 'nh3', 'ph', 'carbonDioxide', 'clarityM', 'leafCover'] as const)
      expect(after.series[name][0]! / whole.series[name][10]!).toBeCloseTo(1, 2)
  })
  it('hardly changes when its steps are halved', () => {
    const fine = simulate({ ...RUN, stepH: 1 })
    const mean = (values: Float64Array) => values.reduce((a, b) => a + b, 0) / values.length
    for (const name of [
      'waterC',
      'tan',
      'nitrite',
      'nitrate',
      'phosphate',
      'oxygen',
      'ph',
      'clarityM',
      'bacteriaShare',
    ] as const) {
      expect(mean(fine.series[name]) / mean(quiet.series[name])).toBeCloseTo(1, 1)
      expect(Math.abs(mean(fine.series[name]) / mean(quiet.series[name]) - 1)).toBeLessThan(0.03)
    }
  })

  it('reports hours that a day’s figures are made of', () => {
    const hours = simulate({ ...RUN, days: 200, every: 'hour' })
    const day = hours.series.oxygen.slice(180 * 24, 181 * 24)
    expect(quiet.series.oxygen[180]).toBeCloseTo(Math.min(...day), 9)
    expect(quiet.series.nh3[180]).toBeCloseTo(Math.max(...hours.series.nh3.slice(180 * 24, 181 * 24)), 9)
    expect(quiet.series.waterC[180]).toBeCloseTo(
      hours.series.waterC.slice(180 * 24, 181 * 24).reduce((a, b) => a + b, 0) / 24,
      6,
    )
  })

  it('stops when told to', () => {
    let asked = 0
    const stopped = simulate({ ...RUN, shouldStop: () => ++asked > 10 })
    expect(stopped.status).toBe('stopped')
    expect(stopped.series.nitrate[9]).toBeGreaterThan(0)
    expect(stopped.series.nitrate[10]).toBe(0)
  })

  it('leaves an emptied and a bedless pond standing', () => {
    const bare = {
      ...SAMPLE_POND,
      filter: { ...SAMPLE_POND.filter, stoneM3: 0, areaM2: 0, flowM3PerH: 0 },
      autoFill: false,
      topUpAtMm: 2000,
      leakMmPerD: 30,
    }
    const result = simulate({
      ...RUN,
      pond: bare,
      events: [{ day: 50, kind: 'water-change', fraction: 1, dechlorinated: false }],
    })
    expect(result.status).toBe('done')
    expect(result.nitrogen.error).toBeLessThan(1e-3)
  })

  it('refuses weather that is too short and figures that cannot be, by name', () => {
    expect(() => simulate({ ...RUN, weather: year.slice(0, 100) })).toThrow(/weather/)
    expect(() => simulate({ ...RUN, events: [{ day: 400, kind: 'flocculant' }] })).toThrow(/events.0.day/)
    expect(() => simulate({ ...RUN, events: [{ day: 4, kind: 'flush', share: 1.4 }] })).toThrow(/events.0.share/)
    expect(() =>
      simulate({ ...RUN, pond: { ...SAMPLE_POND, fish: { ...SAMPLE_POND.fish, massKg: Number.NaN } } }),
    ).toThrow(/fish.massKg/)
  })
})

describe('events', () => {
  it('washing stones takes the bacteria that live on them, and leaves the bed’s', () => {
    const [left, washed] = [[], [{ day: 9, kind: 'wash-surfaces', share: 1 } as const]].map(
      (events) => simulate({ ...RUN, startDay: 170, days: 10, events }).end.y,
    )
    expect(washed![STATE.pondAmmoniaOxidisers]).toBeLessThan(0.3 * left![STATE.pondAmmoniaOxidisers]!)
    expect(washed![STATE.bedAmmoniaOxidisers]).toBeGreaterThan(0.9 * left![STATE.bedAmmoniaOxidisers]!)
  })
  it('a heatwave on the longest of days makes no day longer than a day', () => {
    const sunny = year.map((day) => ({ ...day, sunshineH: 20 }))
    for (const day of weatherWithEvents(sunny, [{ day: 0, kind: 'heatwave', days: 30, warmerC: 8 }]))
      expect(day.sunshineH).toBeLessThanOrEqual(24)
  })
})
