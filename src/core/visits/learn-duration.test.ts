import fc from 'fast-check'
import { learnDurations, visitMinutes, type HandsFactor, type TimedVisit } from './learn-duration'

const visit = (over: Partial<TimedVisit> = {}): TimedVisit => ({
  job: 'routine',
  pondId: 'p',
  crewId: 'otter',
  handsMin: 100,
  machineMin: 0,
  tookMin: 150,
  ...over,
})
const many = (n: number, over: (i: number) => Partial<TimedVisit>) =>
  Array.from({ length: n }, (_, i) => visit(over(i)))
const routineAt = (visits: readonly TimedVisit[], pondId: string | null = 'p', crewId: string | null = 'otter') =>
  learnDurations(visits).factorOf('routine', pondId, crewId)

describe('learnt durations', () => {
  it('take the plain estimate to be right on average before anything was logged', () => {
    const none = routineAt([])
    expect(none.factor).toBeCloseTo(1, 12)
    expect(none.low).toBeLessThan(0.6)
    expect(none.high).toBeGreaterThan(1.5)
    expect(learnDurations([]).paceOf('otter')).toBe(1)
  })
  it('come near the truth with many visits, and know its spread', () => {
    const { factor, low, high } = routineAt(
      many(60, (i) => ({ pondId: `p${i % 20}`, crewId: `c${i % 3}`, tookMin: 150 + (i % 5) - 2 })),
      'p3',
      'c1',
    )
    expect(factor).toBeCloseTo(1.5, 1)
    expect(low).toBeGreaterThan(1.25)
    expect(high).toBeLessThan(1.8)
  })
  it('learn more about a job from ten ponds than from one pond ten times', () => {
    const ten = routineAt(
      many(10, (i) => ({ pondId: `p${i}` })),
      null,
    )
    const one = routineAt(
      many(10, () => ({})),
      null,
    )
    expect(ten.factor).toBeGreaterThan(one.factor)
  })
  it('tell a slow pond from the others', () => {
    const visits = [
      ...many(12, (i) => ({ pondId: `p${i}`, tookMin: 100 })),
      ...many(6, () => ({ pondId: 'slow', tookMin: 170 })),
    ]
    expect(routineAt(visits, 'slow').factor / routineAt(visits, 'p3').factor).toBeGreaterThan(1.35)
  })
  it('tell a slow crew from the others, at ponds where it never was', () => {
    const visits = many(40, (i) => {
      const slow = i % 2 === 0
      return { pondId: `p${i % 20}`, crewId: slow ? 'slow' : 'quick', tookMin: slow ? 140 : 100 }
    })
    const { paceOf, factorOf } = learnDurations(visits)
    expect(paceOf('slow') / paceOf('quick')).toBeGreaterThan(1.2)
    expect(factorOf('routine', 'new', 'slow').factor).toBeGreaterThan(factorOf('routine', 'new', 'quick').factor)
  })
  it('a refill of 600 minutes tells of hands what it leaves: slow ones are seen, usual ones not taken for quick', () => {
    const cleanouts = (hands: number) =>
      learnDurations(
        many(12, (i) => ({
          job: 'spring-cleanout',
          pondId: `p${i}`,
          handsMin: 240,
          machineMin: 600,
          tookMin: 240 * hands + 600,
        })),
      ).factorOf('spring-cleanout', 'p20', 'otter').factor
    expect(cleanouts(1.5)).toBeGreaterThan(1.3)
    expect(cleanouts(1)).toBeGreaterThan(0.93)
    expect(cleanouts(1)).toBeLessThan(1.1)
  })
  it('never jump where a hose gets a minute longer', () => {
    const factors = Array.from({ length: 130 }, (_, i) => 10 * i).map(
      (machineMin) =>
        learnDurations([visit({ machineMin, tookMin: machineMin + 150 })]).factorOf('routine', 'p', 'otter').factor,
    )
    factors.slice(1).forEach((f, i) => expect(Math.abs(f - factors[i]!)).toBeLessThan(0.01))
    // the longer the hose, the less its visit tells
    expect(factors.at(-1)).toBeLessThan(factors[0]!)
  })
  it('a visit that was over before its hose could be says that hands were quick', () =>
    expect(routineAt([visit({ machineMin: 120, tookMin: 110 })]).factor).toBeLessThan(0.97))
  it('hoses that ran on after the crew had left teach next to nothing: 172 minutes of hands never become days', () => {
    const left = [
      { handsMin: 172, machineMin: 831, tookMin: 693 },
      { handsMin: 152, machineMin: 250, tookMin: 423 },
      { handsMin: 266, machineMin: 1195, tookMin: 693 },
    ]
    const cleanouts = [...left, ...left].map((v, i) => visit({ job: 'spring-cleanout', pondId: `p${i % 3}`, ...v }))
    const learnt = learnDurations(cleanouts)
    for (const job of ['spring-cleanout', 'netting']) {
      const { factor, low, high } = learnt.factorOf(job, 'p0', 'otter')
      expect(factor).toBeGreaterThan(0.6)
      expect(factor).toBeLessThan(1.4)
      expect(high / low).toBeLessThan(8)
    }
  })
  it('leave out what cannot be true, and hardly follow one visit left open over lunch', () => {
    expect(learnDurations([visit({ tookMin: 1 }), visit({ tookMin: 1440 })]).visits).toEqual([])
    const usual = many(15, (i) => ({ pondId: `p${i}`, tookMin: 100 }))
    const slipped = [...usual, visit({ pondId: 'p3', tookMin: 400 })]
    expect(routineAt(slipped, 'p5').factor / routineAt(usual, 'p5').factor).toBeLessThan(1.05)
  })
  it('lie between what was known and what was seen, and say a band about it', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 30, max: 400, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (minutes) => {
          const { factor, low, middle, high, sd } = routineAt(minutes.map((tookMin) => visit({ tookMin })))
          const seen = minutes.map((m) => m / 100)
          expect(middle).toBeGreaterThanOrEqual(Math.min(0.8, ...seen) - 1e-9)
          expect(middle).toBeLessThanOrEqual(Math.max(1, ...seen) + 1e-9)
          expect(low).toBeLessThan(middle)
          expect(middle).toBeLessThan(high)
          expect(factor).toBeGreaterThan(middle)
          expect(sd).toBeGreaterThan(0)
        },
      ),
      { numRuns: 40 },
    ))
  it('refuse a visit of no minutes', () => {
    expect(() => learnDurations([visit({ tookMin: 0 })])).toThrow('tookMin')
    expect(() => learnDurations([visit({ machineMin: -1 })])).toThrow('machineMin')
  })
})

describe('minutes of a visit', () => {
  const hands: HandsFactor = { factor: 1.1, middle: 1, low: 0.7, high: 1.5, sd: 0.4 }
  it('multiply handwork only', () => expect(visitMinutes(100, 600, hands).meanMin).toBe(110 + 600))
  it('have the spread of hands, and of the hose beside it', () => {
    expect(visitMinutes(100, 0, hands)).toMatchObject({ lowMin: 70, highMin: 150, sdMin: 40 })
    const { lowMin, highMin, sdMin } = visitMinutes(100, 600, hands)
    expect(highMin - 700).toBeCloseTo(Math.hypot(50, 1.2816 * 60), 2)
    expect(700 - lowMin).toBeCloseTo(Math.hypot(30, 1.2816 * 60), 2)
    expect(sdMin).toBeCloseTo(Math.hypot(40, 60), 9)
  })
})
