import type { VisitStep } from '../../core/visits/step'
import { judgeStep } from './step-gate'

const STARTED = '2027-04-10T09:00:00.000Z'
const step = {
  key: 'acclimate',
  kind: 'timer',
  title: 'Match the temperature',
  timerMinutes: 20,
  waits: true,
} as unknown as VisitStep
const reasonsAt = (timerStartedAt: string | null, afterMs: number) => {
  const judged = judgeStep(step, { readings: {}, figures: {} } as never, { doses: [] } as never, [], [], {
    states: new Map(),
    timerStartedAt,
    atMs: Date.parse(STARTED) + afterMs,
  })
  return judged?.gate.status === 'stop' ? judged.gate.reasons : []
}

describe('a step that waits for its timer', () => {
  it('is held until it has run out', () => {
    expect(reasonsAt(null, 0)).toEqual([{ code: 'timer-not-started', minutes: 20 }])
    expect(reasonsAt(STARTED, 8 * 60_000)).toEqual([{ code: 'timer-running', leftMin: 12 }])
    expect(reasonsAt(STARTED, 20 * 60_000)).toEqual([])
  })
  it('never runs for longer than the timer is, by a clock that was set right since it was started', () =>
    expect(reasonsAt(STARTED, -3_000)).toEqual([{ code: 'timer-running', leftMin: 20 }]))
})
