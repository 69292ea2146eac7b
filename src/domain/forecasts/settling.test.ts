import { SHOWN_OUTPUTS } from '../../core/ecosystem/comparison/comparison'
import { settledDay } from '../../core/ecosystem/settling'
import { expectation, settlingRuns, type Settling } from './settling'
import { WhatIfInput } from './what-if'

const NEW: Settling = { kind: 'new-filter', on: '2027-05-01', hours: 24, seeded: false }

/** A run whose ammonia falls evenly to nothing on a day, without nitrite. */
function run(days: number, goneOn: number, first = 0) {
  const daily = new Float32Array(SHOWN_OUTPUTS.length * days)
  for (let d = first; d < days; d++)
    daily[SHOWN_OUTPUTS.indexOf('tan') * days + d] = Math.max(0, 2 * (1 - (d - first) / goneOn))
  return { daily }
}

describe('the day a filter has settled', () => {
  it('is the first from which both stay at a trace', () => {
    expect(settledDay([2, 1, 0.2, 0.5, 0.1], [0, 0, 0, 0, 0])).toBe(4)
    expect(settledDay([0.1, 0.1], [0.1, 0.1])).toBe(0)
    expect(settledDay([0.1, 0.1], [0.1, 2])).toBe(2)
  })
})

describe('what is run for an expectation', () => {
  it('is something the bench could run as well', () => {
    for (const kind of ['new-filter', 'outage', 'sterile-clean'] as const)
      for (const seeded of [false, true])
        expect(WhatIfInput.safeParse(settlingRuns({ ...NEW, kind, seeded })).error?.issues ?? []).toEqual([])
  })
  it('begins a little before a stop, which lasts its hours, and brings media after it', () => {
    const { from, start, options } = settlingRuns({ kind: 'outage', on: '2027-07-10', hours: 36, seeded: true })
    expect([from, start]).toEqual(['2027-07-05', 'settled'])
    expect(options[0]!.events).toMatchObject([
      { kind: 'pump', day: 5, running: false },
      { kind: 'pump', day: 6.5, running: true },
      { kind: 'seed-bacteria', day: 8 },
    ])
  })
})

describe('an expectation', () => {
  // ammonia at a trace once 1 − d/gone is below 0.175
  const runs = [20, 30, 40].map((gone) => run(90, gone))
  it('says when it has settled, and what each week should show', () => {
    const { settled, weeks } = expectation(NEW, runs, [])
    expect(settled!.middle).toBe(25)
    expect(settled!.soonest).toBeLessThan(settled!.middle)
    expect(settled!.latest).toBeGreaterThan(settled!.middle)
    expect(weeks).toHaveLength(13)
    expect(weeks[1]!.day).toBe('2027-05-08')
    expect(weeks[0]!.bands.tan).toMatchObject({ from: 2, middle: 2, to: 2 })
  })
  it('says so when most never settle', () =>
    expect(expectation(NEW, [run(90, 1000), run(90, 1000)], []).settled).toBeNull())
  it('holds tests of its days against the band, with a step of slack, and no others', () => {
    const test = (day: string, value: number, kind = 'tan') => ({ day, kind, value })
    const { tests } = expectation(NEW, runs, [
      test('2027-04-30', 9),
      test('2027-05-02', 1.9),
      test('2027-05-20', 5),
      test('2027-06-20', 0.05),
      test('2027-05-20', 7, 'ph'),
      test('2027-12-01', 9),
    ])
    expect(tests.map((t) => [t.day, t.is])).toEqual([
      ['2027-05-02', 'as-expected'],
      ['2027-05-20', 'higher'],
      ['2027-06-20', 'as-expected'],
    ])
  })
})
