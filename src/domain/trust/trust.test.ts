import type { PondId } from '../shared/ids'
import { callTrust, durationTrust, isLeakCall, volumeTrust, type VisitAsPlanned } from './trust'

const visit = (over: Partial<VisitAsPlanned> = {}): VisitAsPlanned => ({
  job: 'routine',
  plannedMin: 60,
  lowMin: 45,
  highMin: 80,
  tookMin: 60,
  ...over,
})

describe('how far figures came true', () => {
  it('durations: share inside what was said, and what they took in all, by job with the most visits first', () => {
    const lines = durationTrust([
      visit({ tookMin: 90 }),
      visit(),
      visit(),
      visit({ job: 'cleanout', plannedMin: 300, lowMin: 200, highMin: 420, tookMin: 330 }),
      // left open overnight
      visit({ tookMin: 900 }),
    ])
    expect(lines.map(({ job, visits }) => [job, visits])).toEqual([
      [null, 4],
      ['routine', 3],
      ['cleanout', 1],
    ])
    expect(lines[0]!.inside.value).toBeCloseTo(3 / 4, 9)
    expect(lines[1]!.tookOverPlanned).toBeCloseTo(210 / 180, 9)
    expect(durationTrust([])).toEqual([])
  })
  it('volumes: what a meter said of what had been surveyed, and ponds whose ways are open', () => {
    const shape = { method: 'geometry-free-form' as const, volumeM3: 20, sigmaM3: 2.4 }
    const meter = (volumeM3: number) => ({ method: 'metered-fill' as const, volumeM3, sigmaM3: 0.4 })
    const pond = (name: string, meterM3: number, open = false) => ({
      pondId: name as PondId,
      pondName: name,
      evidence: [shape, meter(meterM3)],
      open,
    })
    const { checks, held, open } = volumeTrust([
      pond('near', 21),
      pond('far', 27, true),
      { pondId: 'one' as PondId, pondName: 'one', evidence: [shape], open: false },
    ])
    expect(checks.map((c) => [c.pondName, c.held])).toEqual([
      ['near', true],
      ['far', false],
    ])
    expect(held!.value).toBe(0.5)
    expect(open).toEqual([{ pondId: 'far', pondName: 'far' }])
    expect(volumeTrust([]).held).toBeNull()
  })
  it('causes: what was called likely got better as often, those that wait apart', () => {
    const call = (likelihood: number, outcome: 'better' | 'partly' | 'not' | null, cause = 'leak-shell') => ({
      cause,
      likelihood,
      outcome,
    })
    const lines = callTrust([call(0.9, 'better'), call(0.95, 'not'), call(0.8, null), call(0.3, 'partly')])
    expect(lines[3]).toMatchObject({ from: 0.8, calls: 3, waiting: 1, better: 1 })
    expect(lines[3]!.share!.value).toBe(0.5)
    expect(lines[1]).toMatchObject({ calls: 1, better: 0, partly: 1 })
    expect(lines[0]).toMatchObject({ calls: 0, share: null })
    expect([call(0.9, null), call(0.9, null, 'green-water')].filter(isLeakCall)).toHaveLength(1)
  })
})
