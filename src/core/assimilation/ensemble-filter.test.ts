import { addDays } from '../numeric/calendar'
import { seededRandom } from '../numeric/random'
import type { DatedWeather } from '../season/weather-ahead'
import { weatherYear } from '../season/weather-year'
import { ammoniaFraction } from '../water/ammonia'
import { SAMPLE_POND, SAMPLE_STATION } from '../ecosystem/trials/sample-pond'
import { beginFilter } from './begin-filter'
import { advanceFilter, type EnsembleFilter } from './ensemble-filter'
import type { FilterInput } from './filter-input'
import { HAZARDS } from './hazards'
import { misfit, OBSERVED_KINDS, type ObservedKind } from './observed'
import { OUTLOOK_DAYS, outlookOf } from './outlook'
import type { DatedReading } from './reading'
import { UNSTRETCHED } from './stretch'

const FROM = '2027-05-01'
const weather: DatedWeather[] = weatherYear(SAMPLE_STATION, seededRandom(8))
  .slice(120, 330)
  .map((day, i) => ({ ...day, date: addDays(FROM, i) }))
const begun = beginFilter({
  pond: SAMPLE_POND,
  station: SAMPLE_STATION,
  from: FROM,
  members: 40,
  volumeSigmaShare: 0.1,
})
const DAYS = 56
const to = addDays(FROM, DAYS)
const input: FilterInput = { pond: SAMPLE_POND, deepestM: 9, weather, readings: [], events: [] }
const blind = advanceFilter(begun, input, to)

type Test = Pick<DatedReading, 'kind' | 'value'> & Partial<DatedReading>
/** The same tests every fortnight up to a few days ago. */
const fortnightly = (tests: readonly Test[]): DatedReading[] =>
  [10, 24, 38, 52].flatMap((day) =>
    tests.map((test) => ({ day: addDays(FROM, day), method: 'meter' as const, belowStep: false, ...test })),
  )
const learnt = (readings: readonly DatedReading[], more: Partial<FilterInput> = {}) =>
  advanceFilter(begun, { ...input, ...more, readings }, to)
const ahead = (filter: EnsembleFilter, deepestM = 9, pond = SAMPLE_POND) =>
  outlookOf(filter, {
    pond,
    deepestM,
    station: SAMPLE_STATION,
    known: { today: filter.day, observed: [], forecast: weather.slice(DAYS, DAYS + 8) },
    stretch: UNSTRETCHED,
  })

describe('the filter of a pond', () => {
  it('stands at the day it was brought to, with as many members', () => {
    expect(blind.day).toBe(to)
    expect(blind.members).toHaveLength(40)
  })
  it('keeps the fish that are on file, however bad a member’s water', () => {
    const crowded = { ...SAMPLE_POND, fallM: 0, fish: { ...SAMPLE_POND.fish, massKg: 80 } }
    const start = beginFilter({ pond: crowded, station: SAMPLE_STATION, from: FROM, members: 3, volumeSigmaShare: 0 })
    const filter = advanceFilter(start, { ...input, pond: crowded }, to)
    for (const { state } of filter.members) expect(state.running.fishMassKg).toBeCloseTo(80, 6)
  })
  it('TAN 0.5 at pH 9.0 read fortnightly: toxic ammonia is told by both, and so is its risk', () => {
    const tested = learnt(
      fortnightly([
        { kind: 'tan', value: 0.5 },
        { kind: 'ph', value: 9 },
        { kind: 'waterTemp', value: 21 },
      ]),
    )
    const { bands, risks } = ahead(tested)
    // what the three tests imply
    expect(0.5 * ammoniaFraction(9, 21)).toBeCloseTo(0.15, 2)
    expect(bands.nh3.p90[0]).toBeGreaterThan(0.1)
    expect(bands.nh3.p50[0]).toBeGreaterThan(0.05)
    expect(risks.ammonia.week).toBeGreaterThan(0.6)
    expect(ahead(blind).risks.ammonia.week).toBeLessThan(0.2)
  })
  it('one slip of the decimal point does not carry the middle away', () => {
    const usual = fortnightly([{ kind: 'tan', value: 0.14 }])
    const slipped = usual.map((r, i) => (i === 3 ? { ...r, value: 1.4 } : r))
    const [plain, off] = [ahead(learnt(usual)), ahead(learnt(slipped))]
    expect(plain.bands.tan.p50[0]).toBeLessThan(0.25)
    expect(off.bands.tan.p50[0]).toBeLessThan(0.3)
    // but twice is no slip
    const twice = usual.map((r, i) => (i >= 2 ? { ...r, value: 1.4 } : r))
    expect(ahead(learnt(twice)).bands.tan.p50[0]).toBeGreaterThan(1.3 * off.bands.tan.p50[0]!)
  })
  it('“none found” on a strip is all up to its first colour, not 0', () => {
    const none = fortnightly([{ kind: 'nitrite', value: 0, method: 'strip', belowStep: true }])
    const zero = none.map((r) => ({ ...r, method: 'meter' as const, belowStep: false }))
    const width = (filter: EnsembleFilter) => {
      const { p10, p90 } = ahead(filter).bands.nitrite
      return p90[0]! - p10[0]!
    }
    expect(width(learnt(none))).toBeGreaterThan(1.3 * width(learnt(zero)))
    expect(ahead(learnt(none)).bands.nitrite.p90[0]).toBeGreaterThan(0.03)
  })
  it('a reading is used once: the temperature of the day after lies between model and test, and is not told too surely', () => {
    const [{ p50: model }, test] = [ahead(blind).bands.waterC, 3] as const
    const read = {
      day: addDays(FROM, DAYS - 1),
      kind: 'waterTemp' as const,
      value: model[0]! + test,
      method: 'drops' as const,
      belowStep: false,
    }
    const { p10, p50, p90 } = ahead(learnt([read])).bands.waterC
    expect(p50[0]).toBeGreaterThan(model[0]! + 0.2)
    expect(p50[0]).toBeLessThan(model[0]! + test)
    expect(p90[0]! - p10[0]!).toBeGreaterThan(0.8)
  })
  it('takes a floor that is seen for "at least so clear": no bias, nothing to fear', () => {
    const deepestM = 0.9
    const toFloor = fortnightly([{ kind: 'clarityDepth', value: deepestM }])
    const filter = learnt(toFloor, { deepestM })
    const meanBias = (of: EnsembleFilter, kind: ObservedKind) =>
      of.members.reduce((sum, m) => sum + m.bias[kind] / of.members.length, 0)
    expect(Math.abs(meanBias(filter, 'clarityDepth') - meanBias(blind, 'clarityDepth'))).toBeLessThan(0.1)
    const { bands, risks } = ahead(filter, deepestM)
    expect(bands.clarityM.p50[0]).toBe(deepestM)
    expect(Math.max(...bands.clarityM.p90)).toBe(deepestM)
    expect(risks.murk.week).toBeLessThan(0.1)
    // nor in a rill that is shallower than the line of murk
    expect(ahead(blind, 0.25).risks.murk.whole).toBe(0)
  })
  it('believes murk where the model sees the floor', () => {
    const murk = fortnightly([{ kind: 'clarityDepth', value: 0.3 }])
    const clarity = (filter: EnsembleFilter) => ahead(filter).bands.clarityM.p50[0]!
    expect(clarity(learnt(murk))).toBeLessThan(0.6 * clarity(blind))
  })
  it('follows a pond that is not as the model has it, and tells it less surely until it does', () => {
    const high = fortnightly([{ kind: 'ph', value: 9.3 }])
    const filter = learnt(high)
    expect(filter.wander.ph).toBeGreaterThan(1.5)
    expect(learnt(fortnightly([{ kind: 'ph', value: 8 }])).wander.ph).toBeLessThan(filter.wander.ph)
    expect(ahead(filter).bands.ph.p50[0]).toBeGreaterThan(ahead(blind).bands.ph.p50[0]! + 0.3)
  })
  it('is the same whether it is brought forward at once or in two steps without readings between', () => {
    const middle = addDays(FROM, 30)
    const first = advanceFilter(begun, input, middle)
    const twice = advanceFilter(first, { ...input, weather: weather.slice(30) }, to)
    const tan = (of: EnsembleFilter) => of.members.map((m) => m.state.y[0]!)
    tan(twice).forEach((y, i) => expect(y / tan(blind)[i]!).toBeCloseTo(1, 2))
  })
  it('carries what was done into the water', () => {
    const change = { day: 2, kind: 'water-change', fraction: 0.9, dechlorinated: true } as const
    const [changed, left] = [[change], []].map((events) => advanceFilter(begun, { ...input, events }, addDays(FROM, 4)))
    expect(changed!.members[0]!.state.y[2]).toBeLessThan(left!.members[0]!.state.y[2]!)
  })
})

describe('the outlook', () => {
  const outlook = ahead(blind)
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
  it('sees trouble coming in an overstocked pond whose pump is off', () => {
    const crowded = {
      ...SAMPLE_POND,
      fish: { ...SAMPLE_POND.fish, massKg: 60 },
      filter: { ...SAMPLE_POND.filter, flowM3PerH: 0 },
    }
    const members = blind.members.map((m) => ({
      ...m,
      state: { ...m.state, running: { ...m.state.running, pump: false, fishMassKg: 60 } },
    }))
    const { risks } = ahead({ ...blind, members }, 9, crowded)
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
