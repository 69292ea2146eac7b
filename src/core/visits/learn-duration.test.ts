import fc from 'fast-check'
import { DURATION_SPREAD, factorFor, learnDurationCorrections, correctionKey, type TimedVisit } from './learn-duration'

const visit = (over: Partial<TimedVisit> = {}): TimedVisit => ({
  job: 'routine',
  pondId: 'p',
  estimateMin: 100,
  actualMin: 150,
  ...over,
})
const many = (n: number, over: (i: number) => Partial<TimedVisit>) =>
  Array.from({ length: n }, (_, i) => visit(over(i)))

describe('learnt durations', () => {
  it('say nothing before anything was logged', () =>
    expect(factorFor(learnDurationCorrections([]), 'routine', 'p')).toBe(1))
  it('follow the shrinkage of one visit by hand', () => {
    const { job, pond, day } = DURATION_SPREAD
    const jobLog = Math.log(1.5) * (job ** 2 / (job ** 2 + pond ** 2 + day ** 2))
    const pondLog = jobLog + (pond ** 2 / (pond ** 2 + day ** 2)) * (Math.log(1.5) - jobLog)
    const corrections = learnDurationCorrections([visit()])
    expect(corrections.byJob.get('routine')!.factor).toBeCloseTo(Math.exp(jobLog), 12)
    expect(factorFor(corrections, 'routine', 'p')).toBeCloseTo(Math.exp(pondLog), 12)
    expect(factorFor(corrections, 'routine', 'elsewhere')).toBeCloseTo(Math.exp(jobLog), 12)
  })
  it('come near the truth with many visits', () => {
    const corrections = learnDurationCorrections(many(40, (i) => ({ pondId: `p${i % 20}` })))
    expect(corrections.byJob.get('routine')!.factor).toBeGreaterThan(1.42)
    expect(corrections.byJob.get('routine')!.factor).toBeLessThan(1.5)
  })
  it('learn more about a job from ten ponds than from one pond ten times', () => {
    const [ten, one] = [
      learnDurationCorrections(many(10, (i) => ({ pondId: `p${i}` }))),
      learnDurationCorrections(many(10, () => ({}))),
    ]
    expect(ten.byJob.get('routine')!.factor).toBeGreaterThan(one.byJob.get('routine')!.factor)
  })
  it('tell a slow pond from the others of its kind', () => {
    const corrections = learnDurationCorrections([
      ...many(12, (i) => ({ pondId: `p${i}`, actualMin: 100 })),
      ...many(6, () => ({ pondId: 'slow', actualMin: 160 })),
    ])
    expect(corrections.byPond.get(correctionKey('routine', 'slow'))!.factor).toBeGreaterThan(1.25)
    expect(factorFor(corrections, 'routine', 'p3')).toBeLessThan(1.1)
  })
  it('leave out what cannot be true', () =>
    expect(learnDurationCorrections([visit({ actualMin: 1 }), visit({ actualMin: 1440 })]).byJob.size).toBe(0))
  it('lie between what was known and what was seen', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 20, max: 500, noNaN: true }), { minLength: 1, maxLength: 12 }),
        (minutes) => {
          const factor = factorFor(
            learnDurationCorrections(minutes.map((actualMin) => visit({ actualMin }))),
            'routine',
            'p',
          )
          const seen = minutes.map((m) => m / 100)
          expect(factor).toBeGreaterThanOrEqual(Math.min(1, ...seen) - 1e-9)
          expect(factor).toBeLessThanOrEqual(Math.max(1, ...seen) + 1e-9)
        },
      ),
    ))
  it('refuse a visit of no minutes', () =>
    expect(() => learnDurationCorrections([visit({ actualMin: 0 })])).toThrow('actualMin'))
})
