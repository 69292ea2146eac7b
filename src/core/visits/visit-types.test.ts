import { STEP_FIGURES } from './figures'
import { visitType, VISIT_TYPES } from './visit-types'
import { VISIT_PLANNING } from './types'
import type { StepGate } from './step'

const RESCUE_STAGES = ['rescue-floor', 'rescue-strainers', 'rescue-media', 'rescue-rocks'].map((key) => visitType(key)!)

const all = VISIT_TYPES.flatMap((job) => job.steps.map((step) => ({ job: job.key, step })))
const at = (job: (typeof VISIT_TYPES)[number], key: string) => job.steps.findIndex((s) => s.key === key)

describe.each(VISIT_TYPES.map((job) => [job.key, job] as const))('%s', (_, job) => {
  it('has a key of its own for every step, and closes with a signature', () => {
    const keys = job.steps.map((s) => s.key)
    expect(new Set(keys).size).toBe(keys.length)
    expect(job.steps.at(-1)!.kind).toBe('sign')
  })
  it('asks only for readings that it lists, and lets decisions be made', () => {
    for (const step of job.steps) {
      for (const kind of step.required ?? []) expect(step.readings).toContain(kind)
      if (step.kind === 'decide') expect(step.choices!.length).toBeGreaterThan(1)
      if (step.kind === 'timer') expect(step.timerMinutes).toBeGreaterThan(0)
      for (const figure of step.figures ?? []) expect(STEP_FIGURES[figure]).toBeDefined()
    }
  })
  it('opens with photographs', () => {
    const photos = job.steps.findIndex((s) => s.kind === 'photo')
    expect(photos).toBeGreaterThanOrEqual(0)
    expect(photos).toBeLessThan(6)
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
