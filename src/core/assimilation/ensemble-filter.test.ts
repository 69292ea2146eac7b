import fc from 'fast-check'
import { addDays } from '../numeric/calendar'
import { seededRandom } from '../numeric/random'
import type { DatedWeather } from '../season/weather-ahead'
import { weatherYear } from '../season/weather-year'
import { misfit, OBSERVED_KINDS } from './observed'
import { HAZARDS } from './hazards'
import { OUTLOOK_DAYS, outlookOf } from './outlook'
import { parameterValues } from '../ecosystem/parameters'
import { advanceFilter, resample, startFilter, type DatedReading, type FilterInput } from './particle-filter'
import { simulate } from '../ecosystem/simulate'
import { STATE } from '../ecosystem/states'
import { SAMPLE_POND, SAMPLE_STATION } from '../ecosystem/trials/sample-pond'

const FROM = '2027-05-01'
const year = weatherYear(SAMPLE_STATION, seededRandom(8))
const weather: DatedWeather[] = year.slice(120, 330).map((day, i) => ({ ...day, date: addDays(FROM, i) }))
/** The pond before, the same for truth and filter. */
const before = simulate({
  pond: SAMPLE_POND,
  weather: year,
  startDay: 1,
  days: 120,
  events: [],
  start: { kind: 'settled' },
  every: 'day',
}).end
/** A pond whose bed is worth less than anybody thinks. */
const truth = simulate({
  pond: SAMPLE_POND,
  parameters: parameterValues({ arealNitrification: 0.3, ammoniaHalf: 0.7, nitrifierDecay: 0.12, algaeGrowth: 1.8 }),
  weather,
  startDay: 121,
  days: 120,
  events: [],
  start: before,
  every: 'day',
}).series
const readings: DatedReading[] = Array.from({ length: 11 }, (_, i) => 5 + i * 10).flatMap((d) => [
  { day: addDays(FROM, d), kind: 'tan' as const, value: truth.tan[d]! },
  { day: addDays(FROM, d), kind: 'waterTemp' as const, value: truth.waterC[d]! },
  { day: addDays(FROM, d), kind: 'nitrate' as const, value: truth.nitrate[d]! },
])
const input: FilterInput = { pond: SAMPLE_POND, deepestM: 9, weather, readings, events: [] }
const to = addDays(FROM, 118)
const start = startFilter(before, FROM, 16)
const learnt = advanceFilter(start, input, to)

describe('the filter of a pond', () => {
  it('stands at the day it was brought to, with as many particles', () => {
    expect(learnt.day).toBe(to)
    expect(learnt.particles).toHaveLength(16)
  })
  it('keeps the fish that are on file, however bad a particle’s water', () => {
    const crowded = { ...SAMPLE_POND, fallM: 0, fish: { ...SAMPLE_POND.fish, massKg: 80 } }
    const start = { ...before, running: { ...before.running, fishMassKg: 80 } }
    const filter = advanceFilter(startFilter(start, FROM, 4), { ...input, pond: crowded, readings: [] }, to)
    expect(filter.particles.map(({ state }) => state.running.fishMassKg)).toEqual([80, 80, 80, 80])
  })
  it('learns a lasting bias of a pond and takes it off what it foretells', () => {
    // somebody reads this pond's clarity at half of what the model has
    const murkier = Array.from({ length: 8 }, (_, i) => ({
      day: addDays(FROM, 4 + i * 6),
      kind: 'clarityDepth' as const,
      value: truth.clarityM[4 + i * 6]! / 2,
    }))
    const filter = advanceFilter(startFilter(before, FROM, 16), { ...input, readings: murkier }, addDays(FROM, 50))
    expect(filter.bias.clarityDepth).toBeGreaterThan(0.4)
    const { bands } = outlookOf(filter, {
      pond: SAMPLE_POND,
      deepestM: 9,
      station: SAMPLE_STATION,
      known: { today: addDays(FROM, 50), observed: [], forecast: [] },
    })
    expect(bands.clarityM.p50[0]! / (truth.clarityM[50]! / 2)).toBeGreaterThan(0.6)
    expect(bands.clarityM.p50[0]! / (truth.clarityM[50]! / 2)).toBeLessThan(1.6)
  })
  it('takes a floor that is seen for "at least so clear": no bias, no drift, nothing to fear', () => {
    const deepestM = 0.9
    const days = Array.from({ length: 6 }, (_, i) => 4 + i * 8)
    // the stick says a little more or less; this water is clear far beyond it
    expect(Math.min(...days.map((d) => truth.clarityM[d]!))).toBeGreaterThan(1.5 * deepestM)
    const toFloor = days.map((d, i) => ({
      day: addDays(FROM, d),
      kind: 'clarityDepth' as const,
      value: deepestM + (i % 2 ? 0 : 0.4),
    }))
    const filter = advanceFilter(
      startFilter(before, FROM, 16),
      { ...input, deepestM, readings: toFloor },
      addDays(FROM, 50),
    )
    const blind = advanceFilter(startFilter(before, FROM, 16), { ...input, deepestM, readings: [] }, addDays(FROM, 50))
    expect(filter.bias.clarityDepth).toBeCloseTo(0, 9)
    // cells are what the particles make them, not what a floor at 0.9 m would allow
    expect(
      filter.particles[0]!.state.y[STATE.phytoplankton]! / blind.particles[0]!.state.y[STATE.phytoplankton]!,
    ).toBeCloseTo(1, 2)
    const { bands, risks } = outlookOf(filter, {
      pond: SAMPLE_POND,
      deepestM,
      station: SAMPLE_STATION,
      known: { today: filter.day, observed: [], forecast: [] },
    })
    expect(bands.clarityM.p50[0]).toBe(deepestM)
    expect(Math.max(...bands.clarityM.p90)).toBe(deepestM)
    expect(risks.murk.week).toBe(0)
    // nor in a rill that is shallower than the line of murk
    const rill = outlookOf(blind, {
      pond: SAMPLE_POND,
      deepestM: 0.25,
      station: SAMPLE_STATION,
      known: { today: blind.day, observed: [], forecast: [] },
    })
    expect(rill.risks.murk.whole).toBe(0)
  })
  it('believes murk where the model sees the floor', () => {
    const murk = [10, 11, 12].map((d) => ({ day: addDays(FROM, d), kind: 'clarityDepth' as const, value: 0.3 }))
    const filter = advanceFilter(
      startFilter(before, FROM, 16),
      { ...input, deepestM: 0.9, readings: murk },
      addDays(FROM, 13),
    )
    const blind = advanceFilter(
      startFilter(before, FROM, 16),
      { ...input, deepestM: 0.9, readings: [] },
      addDays(FROM, 13),
    )
    expect(filter.bias.clarityDepth).toBeGreaterThan(0)
    expect(filter.particles[0]!.state.y[STATE.phytoplankton]).toBeGreaterThan(
      2 * blind.particles[0]!.state.y[STATE.phytoplankton]!,
    )
  })
  it('is no further from the truth than one that has read nothing', () => {
    const blind = advanceFilter(start, { ...input, readings: [] }, to)
    const error = (filter: typeof learnt) => {
      const { bands } = outlookOf(filter, {
        pond: SAMPLE_POND,
        deepestM: 9,
        station: SAMPLE_STATION,
        known: { today: to, observed: [], forecast: weather.slice(118) },
      })
      return Math.abs(misfit('tan', bands.tan.p50[0]!, truth.tan[118]!))
    }
    expect(error(learnt)).toBeLessThanOrEqual(error(blind) + 0.05)
  })
  it('is the same whether it is brought forward at once or in two steps without readings between', () => {
    const middle = addDays(FROM, 30)
    const none = { ...input, readings: [] }
    const once = advanceFilter(start, none, addDays(FROM, 60))
    const twice = advanceFilter(
      advanceFilter(start, none, middle),
      { ...none, weather: weather.slice(30) },
      addDays(FROM, 60),
    )
    twice.particles.forEach((p, i) => expect(p.state.y[0]! / once.particles[i]!.state.y[0]!).toBeCloseTo(1, 2))
  })
  it('carries what was done into the water', () => {
    const changed = advanceFilter(
      start,
      { ...input, readings: [], events: [{ day: 2, kind: 'water-change', fraction: 0.9, dechlorinated: true }] },
      addDays(FROM, 4),
    )
    const left = advanceFilter(start, { ...input, readings: [] }, addDays(FROM, 4))
    expect(changed.particles[0]!.state.y[2]).toBeLessThan(left.particles[0]!.state.y[2]!)
  })
})

describe('resampling', () => {
  it('copies by weight and loses none of the number', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 5, maxLength: 40 }),
        fc.integer(),
        (weights, seed) => {
          const chosen = resample(weights, seededRandom(seed))
          expect(chosen).toHaveLength(weights.length)
          const total = weights.reduce((a, b) => a + b, 0)
          if (total === 0) return
          for (const [i, w] of weights.entries()) {
            const expected = (w / total) * weights.length
            expect(Math.abs(chosen.filter((c) => c === i).length - expected)).toBeLessThanOrEqual(1 + 1e-9)
          }
        },
      ),
      { seed: 4 },
    )
  })
  it('leaves all as they are when no weight is left', () =>
    expect(resample([0, 0, 0], seededRandom(1))).toEqual([0, 1, 2]))
})

describe('the outlook', () => {
  const known = { today: to, observed: [], forecast: [] }
  const outlook = outlookOf(learnt, { pond: SAMPLE_POND, deepestM: 9, station: SAMPLE_STATION, known: known })
  it('has bands in order for three weeks, wider at the end', () => {
    for (const { p10, p50, p90 } of Object.values(outlook.bands)) {
      expect(p50).toHaveLength(OUTLOOK_DAYS)
      p50.forEach((m, d) => expect(m >= p10[d]! && m <= p90[d]!).toBe(true))
    }
    const { p10, p90 } = outlook.bands.waterC
    expect(p90[20]! - p10[20]!).toBeGreaterThan(p90[1]! - p10[1]!)
  })
  it('knows risks between none and all, a week never above the whole', () => {
    for (const risk of Object.values(outlook.risks)) {
      expect(risk.week).toBeLessThanOrEqual(risk.whole)
      expect(risk.day === null).toBe(risk.whole === 0)
    }
  })
  it('sees ammonia coming in an overstocked pond whose pump is off', () => {
    const crowded = {
      ...SAMPLE_POND,
      fish: { ...SAMPLE_POND.fish, massKg: 60 },
      filter: { ...SAMPLE_POND.filter, flowM3PerH: 0 },
    }
    const state = {
      ...learnt,
      particles: learnt.particles.map((p) => ({
        ...p,
        state: { ...p.state, running: { ...p.state.running, pump: false, fishMassKg: 60 } },
      })),
    }
    const { risks } = outlookOf(state, { pond: crowded, deepestM: 9, station: SAMPLE_STATION, known: known })
    expect(risks.oxygen.week + risks.ammonia.whole).toBeGreaterThan(0.5)
  })
  it('names a line for everything that can go wrong', () =>
    expect(Object.values(HAZARDS).every((h) => Number.isFinite(h.line))).toBe(true))
  it('compares readings of every kind on a scale of their own', () => {
    for (const kind of OBSERVED_KINDS) expect(misfit(kind, 1, 1)).toBe(0)
    expect(misfit('tan', 0.5, 0.25)).toBeGreaterThan(0)
    expect(misfit('waterTemp', 10, 12.4)).toBeCloseTo(-2, 9)
  })
})
