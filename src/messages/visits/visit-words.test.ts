import type { UsualStep, VisitStep } from '@/core/visits/step'
import { LATER_DAYS, VISIT_TYPES } from '@/core/visits/visit-types'
import { OVERNIGHT } from '@/core/visits/types/cleanout-legs'
import { JOBS_IN_WORDS, LATER_DAYS_IN_WORDS, VISIT_WORDS } from '../../../tests/fixtures/jobs-in-words'
import { en } from '../en'
import { textsIn } from '../texts'
import { jobName, jobNameInText, jobsTogether } from './visit-words'

const t = textsIn('en')
const all = JOBS_IN_WORDS.flatMap((job) => job.steps.map((step) => ({ job: job.key, step })))

describe.each(JOBS_IN_WORDS.map((job) => [job.key, job] as const))('%s in words', (_, job) => {
  it('has titles, answers and a note for the customer that read as they stand, without figures to be turned into units', () => {
    const texts = [
      job.name,
      job.customerNote,
      job.followUpTitle,
      ...job.steps.flatMap((s) => [s.section, s.title, ...(s.choices ?? []).map((c) => c.label)]),
    ]
    expect(texts.filter((text) => /[{}]/.test(text))).toEqual([])
    expect(texts.filter((text) => /^[a-z]\w*\.|^[a-z]+[A-Z]/.test(text))).toEqual([])
    expect(job.customerNote.length).toBeGreaterThan(20)
    expect(job.steps.every((s) => s.title && s.section)).toBe(true)
  })
  it('says early what can hurt', () => {
    const safety = job.steps.findIndex((s) => s.safety)
    expect(safety).toBeGreaterThanOrEqual(0)
    expect(safety).toBeLessThan(6)
  })
  it('names the test that follows, where one does', () =>
    expect(job.followUpTitle !== '').toBe(job.followUpDays[1] > 0))
})

it('what can hurt is said at its step', () => {
  const danger: [RegExp, (step: VisitStep) => boolean][] = [
    [/vault/i, ({ key }) => key === 'vault' || key === 'sludge-before'],
    [/lamp/i, ({ key }) => key === 'lamp'],
    [/ladder/i, ({ key }) => key === 'net'],
    [/ice/i, ({ key }) => key === 'hole'],
    [/label governs/i, ({ quantity }) => quantity === 'partial-change' || quantity === 'dechlorinator'],
    [/disconnect|locked/i, ({ key }) => key === 'isolate'],
  ]
  for (const [words, where] of danger) {
    const steps = all.filter(({ step }) => where(step))
    expect(steps.length).toBeGreaterThan(0)
    for (const { step } of steps) expect(step.safety ?? '').toMatch(words)
  }
})

const USUAL: readonly UsualStep[] = [...[...VISIT_TYPES, ...LATER_DAYS].flatMap(({ steps }) => steps), OVERNIGHT]

describe('the words of steps', () => {
  it('hold just the quantities that the step gives them, as they are shown in anybody’s units', () => {
    const texts: Readonly<Record<string, Readonly<Record<string, string>>>> = en.visitSteps
    for (const { words, amounts = {} } of USUAL) {
      const asked = Object.values(texts[words]!).flatMap((text) => [...text.matchAll(/\{(\w+)\}/g)].map((m) => m[1]!))
      expect([words, [...new Set(asked)].sort()]).toEqual([words, Object.keys(amounts).sort()])
    }
    const tokens = all.flatMap(({ step }) =>
      [...`${step.title} ${step.detail ?? ''} ${step.safety ?? ''}`.matchAll(/\{[^}]*\}/g)].map((m) => m[0]),
    )
    expect(tokens.length).toBeGreaterThan(8)
    for (const token of tokens) expect(token).toMatch(/^\{-?\d+(\.\d+)?\|(length|temperature|mass|volume)\}$/)
  })
  it('are all used, and their answers are the step’s codes', () => {
    const used = new Set(USUAL.map(({ words }) => words))
    expect(Object.keys(en.visitSteps).filter((words) => !used.has(words))).toEqual([])
    for (const step of USUAL) {
      const said = Object.keys(en.visitSteps[step.words as keyof typeof en.visitSteps])
      expect(said.filter((key) => !['title', 'detail', 'safety'].includes(key)).sort()).toEqual(
        [...(step.choices ?? [])].sort(),
      )
    }
  })
  it('name the second day, and what the customer is told on the evening between', () => {
    expect(LATER_DAYS_IN_WORDS.map(({ name }) => name)).toEqual(['Cleanout, second day: fish back'])
    expect(VISIT_WORDS.overnightNote).toMatch(/leave pump, hose and aerator/)
  })
})

describe('names of visit types', () => {
  it('stand for themselves, within a sentence, and together', () => {
    expect(jobName('netting', t)).toBe('Autumn netting')
    expect(jobNameInText('netting', t)).toBe('autumn netting')
    expect(jobsTogether(['routine', 'plant-care', 'wetland-flush'], t)).toBe(
      'Routine visit with plant care with wetland flush',
    )
  })
  it('of a key that is none is the key', () => expect(jobName('older-job', t)).toBe('older-job'))
})
