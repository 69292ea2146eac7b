import fc from 'fast-check'
import { liveDay, type LiveStop } from './live-day'

const stop = (id: string, plannedStartMin: number, over: Partial<LiveStop> = {}): LiveStop => ({
  id,
  plannedStartMin,
  minutes: 60,
  startedMin: null,
  finishedMin: null,
  ...over,
})
const day = [stop('a', 480), stop('b', 560), stop('c', 640)]
const ways = [20, 20, 20, 30]

describe('a day as it goes', () => {
  it('is the plan while nothing is logged and it is early', () => {
    const { stops, backMin } = liveDay(day, ways, 400)
    expect(stops.map((s) => s.startMin)).toEqual([480, 560, 640])
    expect(backMin).toBe(730)
    expect(stops.every((s) => s.lateMin === 0 && s.state === 'to-come')).toBe(true)
  })
  it('pushes what follows when a stop runs over', () => {
    const { stops } = liveDay([stop('a', 480, { startedMin: 485 }), day[1]!, day[2]!], ways, 600)
    expect(stops[0]).toMatchObject({ state: 'under-way', endMin: 600 })
    expect(stops[1]).toMatchObject({ startMin: 620, lateMin: 60 })
    expect(stops[2]).toMatchObject({ startMin: 700, lateMin: 60 })
  })
  it('does not begin early what the customer expects later', () => {
    const { stops } = liveDay([stop('a', 480, { startedMin: 470, finishedMin: 500 }), day[1]!, day[2]!], ways, 505)
    expect(stops[0]).toMatchObject({ state: 'done', lateMin: -10 })
    expect(stops[1]!.startMin).toBe(560)
  })
  it('knows a stop that should have begun by now to be late', () =>
    expect(liveDay(day, ways, 520).stops[0]).toMatchObject({ startMin: 520, lateMin: 40 }))
  it('gives an empty day nothing', () => expect(liveDay([], [0], 500)).toEqual({ stops: [], backMin: 0 }))
  it('never overlaps and never goes back in time', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 5, max: 200 }), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 300, max: 1200 }),
        (minutes, now) => {
          const stops = minutes.map((m, i) => stop(String(i), 480 + 90 * i, { minutes: m }))
          const live = liveDay(stops, [...minutes.map(() => 10), 10], now)
          live.stops.forEach((s, i) => {
            expect(s.startMin).toBeGreaterThanOrEqual(now > 0 ? Math.max(now, stops[i]!.plannedStartMin) : 0)
            if (i > 0) expect(s.startMin).toBeGreaterThanOrEqual(live.stops[i - 1]!.endMin + 10)
          })
        },
      ),
    ))
})
