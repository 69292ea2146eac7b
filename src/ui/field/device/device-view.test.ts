import type { EntryInput } from '@/domain/visits/visit'
import type { KeptVisit, WaitingLine } from './device-db'
import { runningTimers, viewOf } from './device-view'

const note = (id: string, over: object = {}) =>
  ({
    kind: 'note',
    id,
    stepKey: null,
    at: `2027-03-20T08:0${id.slice(1)}:00Z`,
    text: id,
    ...over,
  }) as unknown as EntryInput
const line = (seq: number, entry: EntryInput, state: WaitingLine['state'] = 'waiting'): WaitingLine => ({
  seq,
  id: entry.id,
  visitId: 'v1',
  userId: 'u1',
  entry,
  state,
  problem: null,
})
const kept = (over: object = {}): KeptVisit =>
  ({
    id: 'v1',
    opened: false,
    visit: { id: 'v1', state: 'planned', job: { steps: [] } },
    log: [],
    photos: [],
    ...over,
  }) as unknown as KeptVisit
const started = { kind: 'started', id: 's1', at: '2027-03-20T08:00:00Z' } as unknown as EntryInput

describe('a visit as a device sees it', () => {
  it('is what the office has, and what waits here on top', () => {
    const view = viewOf(kept(), [line(2, note('n2')), line(1, started)], [], 'Tamsy')
    expect(view.visit.state).toBe('under-way')
    expect(view.log.map((e) => e.id)).toEqual(['s1', 'n2'])
    expect(view.waiting).toBe(2)
    expect(view.log[0]).toMatchObject({ byId: 'u1', byName: 'Tamsy' })
  })
  it('never loses sight of a line between its going and its being read from the log', () => {
    // the office has taken both, but the log was read before
    const between = viewOf(kept(), [line(1, started, 'taken'), line(2, note('n2'), 'taken')], [], 'Tamsy')
    expect(between.visit.state).toBe('under-way')
    expect(between.log.map((e) => e.id)).toEqual(['s1', 'n2'])
    // nothing of it waits any more
    expect(between.waiting).toBe(0)
  })
  it('never shows a line twice that stands in both', () => {
    const log = [started, note('n2')].map((e) => ({ ...e, byId: 'u1', byName: 'Tamsy', receivedAt: '' }))
    for (const state of ['waiting', 'taken'] as const)
      expect(
        viewOf(kept({ log }), [line(1, started, state), line(2, note('n2'), state)], [], 'Tamsy').log.map((e) => e.id),
      ).toEqual(['s1', 'n2'])
  })
  it('keeps apart what the office would not take', () => {
    const view = viewOf(kept(), [line(1, started, 'refused')], [], 'Tamsy')
    expect(view.visit.state).toBe('planned')
    expect(view.log).toEqual([])
    expect(view.refused.map((l) => l.id)).toEqual(['s1'])
  })
  it('knows its running timers, the last start counting, until the step is answered', () => {
    const job = { steps: [{ key: 'rest', title: 'Rest', timerMinutes: 20 }] }
    const timers = [
      note('t1', { kind: 'timer-started', stepKey: 'rest' }),
      note('t5', { kind: 'timer-started', stepKey: 'rest' }),
    ]
    const view = viewOf(
      kept({ visit: { id: 'v1', state: 'under-way', job } }),
      timers.map((t, i) => line(i, t)),
      [],
      'Tamsy',
    )
    expect(runningTimers(view)).toEqual([
      { stepKey: 'rest', title: 'Rest', startedAt: '2027-03-20T08:05:00Z', minutes: 20 },
    ])
    const answered = line(9, note('d6', { kind: 'skipped', stepKey: 'rest', reason: 'x', replaces: null }))
    expect(
      runningTimers(
        viewOf(
          kept({ visit: { id: 'v1', state: 'under-way', job } }),
          [...timers.map((t, i) => line(i, t)), answered],
          [],
          'Tamsy',
        ),
      ),
    ).toEqual([])
  })
})
