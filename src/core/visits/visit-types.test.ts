import { STEP_FIGURES } from './figures'
import { visitType, VISIT_TYPES } from './visit-types'
import { VISIT_PLANNING } from './types'
import type { VisitStep, StepGate } from './step'

const RESCUE_STAGES = ['rescue-floor', 'rescue-strainers', 'rescue-media', 'rescue-rocks'].map((key) => visitType(key)!)

const all = VISIT_TYPES.flatMap((job) => job.steps.map((step) => ({ job: job.key, step })))
const at = (job: (typeof VISIT_TYPES)[number], key: string) => job.steps.findIndex((s) => s.key === key)

describe.each(VISIT_TYPES.map((job) => [job.key, job] as const))('%s', (_, job) => {
  it('has a key of its own for every step, closes with a signature and tells the customer something', () => {
    const keys = job.steps.map((s) => s.key)
    expect(new Set(keys).size).toBe(keys.length)
    expect(job.steps.at(-1)!.kind).toBe('sign')
    expect(job.customerNote.length).toBeGreaterThan(20)
  })
  it('has titles, answers and a note for the customer that read as they stand, without figures to be turned into units', () => {
    const texts = [
      job.name,
      job.customerNote,
      ...job.steps.flatMap((s) => [s.section, s.title, ...(s.choices ?? []).map((c) => c.label)]),
    ]
    expect(texts.filter((text) => /[{}]/.test(text))).toEqual([])
  })
  it('asks only for readings that it lists, and lets decisions be made', () => {
    for (const step of job.steps) {
      for (const kind of step.required ?? []) expect(step.readings).toContain(kind)
      if (step.kind === 'decide') expect(step.choices!.length).toBeGreaterThan(1)
      if (step.kind === 'timer') expect(step.timerMinutes).toBeGreaterThan(0)
      for (const figure of step.figures ?? []) expect(STEP_FIGURES[figure]).toBeDefined()
    }
  })
  it('opens with photographs and a look for hazards', () => {
    const photos = job.steps.findIndex((s) => s.kind === 'photo')
    const safety = job.steps.findIndex((s) => s.safety)
    expect(photos).toBeGreaterThanOrEqual(0)
    expect(safety).toBeGreaterThanOrEqual(0)
    expect(safety).toBeLessThan(6)
  })
  it('has its planning facts', () => expect(VISIT_PLANNING[job.key]).toBeDefined())
})

const CHANGING_WATER = VISIT_TYPES.filter((type) => type.steps.some((step) => step.gate === 'water-change'))

describe.each(CHANGING_WATER.map((type) => [type.key, type] as const))('%s, where water is changed', (_, { steps }) => {
  it('takes the tap’s temperature before that, or with it', () => {
    const tap = steps.findIndex((s) => s.readings?.includes('tapTemp'))
    expect(tap).toBeGreaterThanOrEqual(0)
    expect(tap).toBeLessThanOrEqual(steps.findIndex((s) => s.gate === 'water-change'))
  })
})

it('gates stand where their figures are asked for', () => {
  const needs: Partial<Record<StepGate, string>> = {
    'water-change': 'changedM3',
    salt: 'saltKg',
    'raise-kh': 'khRiseDH',
    'media-clean': 'mediaShare',
  }
  for (const { step } of all) {
    const figure = step.gate && needs[step.gate]
    if (figure) expect(step.figures).toContain(figure)
  }
  expect(new Set(all.flatMap(({ step }) => step.gate ?? []))).toEqual(
    new Set<StepGate>([
      'fish-back-safe',
      'fish-handling',
      'raise-kh',
      'water-change',
      'salt',
      'media-clean',
      'algae-treatment',
      'deep-sludge',
      'feeding',
    ]),
  )
})

it('what can hurt is said at its step', () => {
  const danger: [RegExp, (step: VisitStep) => boolean][] = [
    [/vault/i, ({ key }) => key === 'vault' || key === 'sludge-before'],
    [/lamp/i, ({ key }) => key === 'lamp'],
    [/ladder/i, ({ key }) => key === 'net'],
    [/ice/i, ({ key }) => key === 'hole'],
    [/label governs/i, ({ quantity }) => quantity === 'partial-change' || quantity === 'dechlorinator'],
  ]
  for (const [words, where] of danger) {
    const steps = all.filter(({ step }) => where(step))
    expect(steps.length).toBeGreaterThan(0)
    for (const { step } of steps) expect(`${step.safety ?? ''} ${step.key}`).toMatch(words)
  }
})

it('quantities in words name a kind that can be shown', () => {
  const tokens = all.flatMap(({ step }) =>
    [...`${step.title} ${step.detail ?? ''} ${step.safety ?? ''}`.matchAll(/\{[^}]*\}/g)].map((m) => m[0]),
  )
  expect(tokens.length).toBeGreaterThan(8)
  for (const token of tokens) expect(token).toMatch(/^\{-?\d+(\.\d+)?\|(length|temperature|mass|volume)\}$/)
})

it('a rescue tests first, never cleans everything, and raises KH only past its gate', () => {
  for (const stage of RESCUE_STAGES) {
    expect(at(stage, 'test')).toBeGreaterThan(0)
    for (const gate of ['water-change', 'media-clean', 'deep-sludge'] as const) {
      const step = stage.steps.find((s) => s.gate === gate)
      if (step) expect(at(stage, 'test')).toBeLessThan(stage.steps.indexOf(step))
    }
    expect(
      stage.steps.filter((s) => s.gate === 'media-clean' || s.key === 'section' || s.key === 'siphon').length,
    ).toBeLessThanOrEqual(1)
  }
})
