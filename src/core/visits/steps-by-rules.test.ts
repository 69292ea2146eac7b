import { visitTypeByRules, type VisitRules } from './steps-by-rules'
import { JOBS_IN_WORDS, jobInWords, VISIT_WORDS } from '../../../tests/fixtures/jobs-in-words'
import type { VisitTypeKey } from './visit-type-keys'

const rules = (over: Partial<VisitRules> = {}): VisitRules => ({
  bacteria: 'regular',
  uv: 'crutch',
  winterSalt: 'tenth-percent',
  stringAlgae: 'treat',
  waterChanges: 'routine',
  mediaRinse: 'tap-reset',
  winterIntake: 'upper',
  rinsing: 'hose',
  feedingStartWaterC: 10,
  feedingNormalWaterC: 13,
  ...over,
})
const steps = (job: VisitTypeKey, over: Partial<VisitRules>) =>
  visitTypeByRules(jobInWords(job), rules(over), VISIT_WORDS).steps
const keys = (job: VisitTypeKey, over: Partial<VisitRules> = {}) => steps(job, over).map((s) => s.key)
const step = (job: VisitTypeKey, key: string, over: Partial<VisitRules> = {}) =>
  steps(job, over).find((s) => s.key === key)!

describe('a visit type by the house’s practice', () => {
  it('keeps every step where the house does everything', () => {
    for (const job of JOBS_IN_WORDS)
      expect(visitTypeByRules(job, rules(), VISIT_WORDS).steps.map((s) => s.key)).toEqual(job.steps.map((s) => s.key))
  })
  it('adds no bacteria, or only after a disturbance', () => {
    expect(keys('spring-cleanout', { bacteria: 'none' })).not.toContain('bacteria')
    expect(keys('routine', { bacteria: 'after-disturbance' })).not.toContain('bacteria')
    expect(keys('spring-cleanout', { bacteria: 'after-disturbance' })).toContain('bacteria')
  })
  it('leaves out salt, algae killers, lamps and the raised intake where they are not used', () => {
    const salted = JOBS_IN_WORDS.find((j) => j.steps.some((s) => s.quantity === 'winter-salt'))!.key
    expect(steps(salted, { winterSalt: 'none' }).some((s) => s.quantity === 'winter-salt')).toBe(false)
    expect(keys('routine', { stringAlgae: 'by-place' })).not.toContain('treat-algae')
    expect(keys('spring-startup', { uv: 'never' })).not.toContain('lamp')
    const raised = JOBS_IN_WORDS.find((j) => j.steps.some((s) => s.key === 'intake'))!.key
    expect(keys(raised, { winterIntake: 'unchanged' })).not.toContain('intake')
  })
  it('changes water by routine or only where it must', () => {
    expect(keys('routine', { waterChanges: 'top-up' })).not.toContain('change-water')
    expect(keys('rescue-floor', { waterChanges: 'top-up' })).toContain('change-water')
  })
  it('offers tap water for media only to houses that reset with it', () => {
    expect(step('spring-startup', 'media', { mediaRinse: 'pond-water' }).choices!.map((c) => c.code)).toEqual([
      'pond-water',
    ])
    expect(step('spring-startup', 'media').choices).toHaveLength(2)
  })
  it('says how stone is rinsed, algae are met and fish are fed, with the danger where there is one', () => {
    expect(step('spring-cleanout', 'rinse-stone', { rinsing: 'pressure' }).safety).toContain('cuts skin')
    expect(step('spring-cleanout', 'rinse-stone').detail).toContain('hose only')
    expect(step('routine', 'algae', { stringAlgae: 'hand' }).choices!.map((c) => c.code)).not.toContain('left')
    expect(step('routine', 'algae', { stringAlgae: 'ioniser' }).detail).toContain('copper')
    expect(step('routine', 'feed-advice', { feedingStartWaterC: 12 }).detail).toContain('{12|temperature}')
  })
})
