import { jobInWords, VISIT_WORDS } from '../../../tests/fixtures/jobs-in-words'
import { composeJob, taskStepKey } from './compose-job'

const routine = jobInWords('routine')
const TASK = { id: 'lamp', title: 'Renew the UV lamp' }
const keys = (...args: Parameters<typeof composeJob>) => composeJob(...args).steps.map((s) => s.key)

describe('one visit for several jobs', () => {
  it('is the job itself where nothing is added', () => expect(composeJob(routine, [], [], VISIT_WORDS)).toBe(routine))
  it('does what jobs share once, tasks before the close, and signs last', () => {
    const steps = keys(routine, [jobInWords('spring-cleanout')], [TASK], VISIT_WORDS)
    expect(new Set(steps).size).toBe(steps.length)
    expect(steps.slice(-5)).toEqual([taskStepKey('lamp'), 'after-photos', 'tools', 'clean-up', 'sign'])
  })
  it('closes as usual whatever the firm calls the sections', () => {
    const reworded = { ...routine, steps: routine.steps.map((s) => ({ ...s, section: 'Teil' })) }
    expect(keys(reworded, [], [TASK], VISIT_WORDS)).toEqual(keys(routine, [], [TASK], VISIT_WORDS))
  })
  it('keeps a firm’s own step among the last where the firm has it', () => {
    const gate = { key: 'lock-gate', section: 'Leaving', kind: 'do' as const, title: 'Lock the gate' }
    const own = { ...routine, steps: [...routine.steps.slice(0, -1), gate, routine.steps.at(-1)!] }
    expect(keys(own, [], [TASK], VISIT_WORDS).slice(-3)).toEqual(['tools', 'lock-gate', 'sign'])
  })
  it('is named by its jobs, an own name as the firm wrote it', () => {
    const own = { ...jobInWords('plant-care'), name: 'Green Day' }
    expect(composeJob(routine, [jobInWords('netting'), own], [], VISIT_WORDS).name).toBe(
      'Routine visit with autumn netting with Green Day',
    )
  })
})
