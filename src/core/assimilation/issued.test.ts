import { addDays } from '../numeric/calendar'
import { recordOf } from '../numeric/record-of'
import { HAZARD_KEYS, OUTLOOK_OUTPUTS } from './hazards'
import { scoresOf, type Issued } from './issued'
import type { DatedReading } from './reading'

const DEEPEST_M = 1.2
/** A forecast of 21 days that says on day i: low 1, middle 2 + i/10, high 4; nitrite past its line in so many runs. */
const issued = (on: string, nitritePast = 0.6): Issued => ({
  on,
  from: on,
  bands: recordOf(OUTLOOK_OUTPUTS, () => ({
    p10: Array.from({ length: 21 }, () => 1),
    p50: Array.from({ length: 21 }, (_, i) => 2 + i / 10),
    p90: Array.from({ length: 21 }, () => 4),
  })),
  past: recordOf(HAZARD_KEYS, (hazard) => Array.from({ length: 21 }, () => (hazard === 'nitrite' ? nitritePast : 0))),
})
const read = (day: string, value: number, kind: DatedReading['kind'] = 'nitrite'): DatedReading => ({
  day,
  kind,
  value,
  method: 'meter',
  belowStep: false,
})

describe('a forecast held against the tests that came after', () => {
  it('is told apart by how far it looked ahead', () => {
    const all = [issued('2027-06-01'), issued('2027-06-08'), issued('2027-06-15')]
    const scores = scoresOf(all, [read('2027-06-17', 2.5)], DEEPEST_M)
    expect(scores.map((s) => [s.lead, s.issuedOn, s.leadDays, s.middle])).toEqual([
      ['near', '2027-06-15', 2, 2.2],
      ['middle', '2027-06-08', 9, 2.9],
      ['far', '2027-06-01', 16, 3.6],
    ])
  })
  it('of several given out in time, the one nearest to 2, 7 and 16 days before counts', () => {
    const daily = Array.from({ length: 21 }, (_, i) => issued(addDays('2027-06-01', i)))
    const scores = scoresOf(daily, [read('2027-06-20', 1)], DEEPEST_M)
    expect(scores.map((s) => s.leadDays)).toEqual([2, 7, 16])
  })
  it('is not held against a test of its own day, nor one past its end, nor one of a kind it does not forecast', () => {
    expect(scoresOf([issued('2027-06-01')], [read('2027-06-01', 1)], DEEPEST_M)).toEqual([])
    expect(scoresOf([issued('2027-06-01')], [read('2027-06-23', 1)], DEEPEST_M)).toEqual([])
    expect(scoresOf([issued('2027-06-01')], [read('2027-06-03', 8, 'kh')], DEEPEST_M)).toEqual([])
  })
  it('stands beside the reading that was known on its day, not a later one', () => {
    const tests = [read('2027-05-20', 0.5), read('2027-06-05', 3), read('2027-06-10', 2)]
    const far = scoresOf([issued('2027-05-25')], tests, DEEPEST_M).find((s) => s.day === '2027-06-10')!
    expect(far.last).toBe(0.5)
    expect(far.off.last).toBeGreaterThan(far.off.forecast)
  })
  it('stands beside what is usual at this time of year, from earlier years only', () => {
    const tests = [read('2025-06-20', 1), read('2026-06-10', 3), read('2026-10-01', 9), read('2027-06-02', 2)]
    const [score] = scoresOf([issued('2027-05-31')], tests, DEEPEST_M)
    expect(score!.usual).toBe(2)
    expect(score!.off.usual).toBe(0)
    // a pond's first year has no usual
    expect(scoresOf([issued('2027-05-31')], tests.slice(3), DEEPEST_M)[0]!.usual).toBeNull()
  })
  it('tells what share of the runs had been past the line, and whether the test was', () => {
    const told = (value: number) => scoresOf([issued('2027-06-01', 0.7)], [read('2027-06-03', value)], DEEPEST_M)[0]!
    expect(told(2)).toMatchObject({ past: 0.7, crossed: true })
    expect(told(0.05)).toMatchObject({ past: 0.7, crossed: false })
    // nobody fears total ammonia: its toxic share is what kills
    expect(scoresOf([issued('2027-06-01')], [read('2027-06-03', 2, 'tan')], DEEPEST_M)[0]!.past).toBeNull()
  })
  it('takes no hand deeper than the floor, and a floor that is seen for clear', () => {
    const tests = [read('2027-06-03', 1.6, 'clarityDepth')]
    expect(scoresOf([issued('2027-06-01')], tests, 0.5)[0]).toMatchObject({ read: 0.5, middle: 0.5, crossed: false })
  })
})
