import fc from 'fast-check'
import { judgeGate } from '../../core/visits/gates'
import type { GateContext } from '../../core/visits/gates/gate'
import type { VisitStep, VisitType } from '../../core/visits/step'
import { guardedStep, upgradeAnswer, upgradeEntry, upgradeVisitType } from './visit-type-upgrade'
import { lostParts } from './own-visit-type'
import { JOBS_IN_WORDS, jobInWords } from '../../../tests/fixtures/jobs-in-words'

/** A visit type as it was stored before answers had codes, with the tests its steps asked for then. */
const oldShape = (job: VisitType): VisitType =>
  ({
    ...job,
    steps: job.steps.map((step) => ({
      ...step,
      ...(step.choices ? { choices: step.choices.map((c) => c.label) } : {}),
      ...(step.key === 'test-refilled'
        ? { readings: ['waterTemp', 'tankTemp', 'ph', 'tan', 'freeChlorine'], required: ['ph'] }
        : {}),
      ...(step.key === 'ramp' ? { gate: undefined } : {}),
    })),
  }) as unknown as VisitType

const CONTEXT: GateContext = {
  readings: { waterTemp: 15, tapTemp: 13, ph: 7.4, tan: 1.2, nitrite: 0.9, kh: 4, dissolvedOxygen: 9 },
  refilled: {},
  figures: { khRiseDH: 1, changedM3: 3, saltKg: 0, mediaShare: 0.5 },
  choice: null,
  systemM3: 12,
  planted: true,
  hoursSinceChange: null,
  fishOut: false,
  fill: null,
}
const gated = JOBS_IN_WORDS.flatMap((job) =>
  job.steps.filter((step) => step.gate && step.choices).map((step) => ({ job, step })),
)
const verdictOf = (step: VisitStep, choice: string) => JSON.stringify(judgeGate(step.gate!, { ...CONTEXT, choice }))

describe('what was stored before answers had codes', () => {
  it.each(JOBS_IN_WORDS.map((job) => [job.key, job] as const))('%s comes to what it is today', (_, job) => {
    const { steps } = upgradeVisitType(oldShape(job))
    expect(steps.map((s) => s.choices)).toEqual(job.steps.map((s) => s.choices))
    expect(steps.map((s) => s.gate)).toEqual(job.steps.map((s) => s.gate))
  })
  it('has no figure in a title, which reports and letters give as it stands', () => {
    const old = {
      ...jobInWords('netting'),
      steps: [
        {
          key: 'fish-feed',
          section: 'Net',
          kind: 'do' as const,
          title: 'Tell: low-protein feed now, none below {10|temperature}',
        },
      ],
    }
    expect(upgradeVisitType(old).steps[0]).toEqual(jobInWords('netting').steps.find((s) => s.key === 'fish-feed'))
  })
  it('is not changed by a second time', () => {
    const once = upgradeVisitType(oldShape(jobInWords('routine')))
    expect(upgradeVisitType(once)).toEqual(once)
  })
  it('a stop keeps its answers’ codes though a comma was dropped, or the firm wrote them anew', () => {
    const step = jobInWords('rescue-floor').steps.find((s) => s.key === 'siphon')!
    const own = (choices: string[]) =>
      upgradeVisitType({ ...jobInWords('rescue-floor'), steps: [{ ...step, choices: choices as never }] }).steps[0]!
        .choices
    expect(own(['No smell fish calm', 'Smell of rotten eggs', 'Fish gasp at the surface'])!.map((c) => c.code)).toEqual(
      ['calm', 'rotten-eggs', 'gasping'],
    )
    expect(own(['All well', 'It stinks', 'They gasp'])).toEqual([
      { code: 'calm', label: 'All well' },
      { code: 'rotten-eggs', label: 'It stinks' },
      { code: 'gasping', label: 'They gasp' },
    ])
  })
  it('a firm’s own question has codes of its own, no two alike', () => {
    const steps = [
      { key: 'own-1', section: 'S', kind: 'decide' as const, title: 'T', choices: ['Yes!', 'yes', 'Nein'] as never },
    ]
    expect(upgradeVisitType({ ...jobInWords('routine'), steps }).steps[0]!.choices!.map((c) => c.code)).toEqual([
      'yes',
      'yes-2',
      'nein',
    ])
  })
  it('a logged answer goes by its code, and one that nothing says is kept as a note', () => {
    const media = jobInWords('spring-cleanout').steps.find((s) => s.key === 'media')!
    expect(upgradeAnswer({ choice: 'In tap water, as a reset', note: '' }, media)).toEqual({
      choice: 'tap-water',
      note: '',
    })
    expect(upgradeAnswer({ choice: 'Left it', note: 'gate shut' }, media)).toEqual({ note: 'Left it: gate shut' })
    expect(upgradeAnswer({ choice: 'pond-water', note: '' }, media)).toEqual({ choice: 'pond-water', note: '' })
    const line = { kind: 'done', stepKey: 'media', answer: { choice: 'In pond water', note: '' } }
    expect(upgradeEntry(line, [media])).toEqual({ ...line, answer: { choice: 'pond-water', note: '' } })
    expect(upgradeEntry({ kind: 'started' }, [media])).toEqual({ kind: 'started' })
  })
  it('the test before fish go back asks for oxygen and nitrite, in what was planned before too', () => {
    const steps = upgradeVisitType(oldShape(jobInWords('spring-cleanout'))).steps
    expect(steps.find((s) => s.key === 'test-refilled')!.required).toEqual(
      expect.arrayContaining(['dissolvedOxygen', 'nitrite', 'ph']),
    )
  })
})

describe('gates decide by codes', () => {
  it('whatever any visit type’s answers are worded as, no gate’s verdict changes', () => {
    expect(gated.length).toBeGreaterThan(5)
    fc.assert(
      fc.property(
        fc.constantFrom(...gated),
        fc.array(fc.string({ minLength: 1, maxLength: 60 }), { minLength: 6, maxLength: 6 }),
        ({ step }, words) => {
          const reworded = { ...step, choices: step.choices!.map((c, i) => ({ ...c, label: words[i]! })) }
          for (const { code } of step.choices!) expect(verdictOf(reworded, code)).toBe(verdictOf(step, code))
        },
      ),
    )
  })
  it('a sentence in the place of a code is never safe', () => {
    for (const { step } of gated)
      for (const { label } of step.choices!) expect(verdictOf(step, label)).toContain('needs-answer')
  })
  it('a copy may word the answers of a stop, not drop or add one', () => {
    const steps = jobInWords('rescue-floor').steps
    const changed = (choices: VisitStep['choices']) => steps.map((s) => (s.key === 'siphon' ? { ...s, choices } : s))
    const usual = steps.find((s) => s.key === 'siphon')!.choices!
    expect(lostParts(jobInWords('rescue-floor'), changed(usual.map((c) => ({ ...c, label: 'x' }))))).toEqual([])
    expect(lostParts(jobInWords('rescue-floor'), changed(usual.slice(1)))).toMatchObject([
      { stepKey: 'siphon', why: 'answers' },
    ])
    expect(lostParts(jobInWords('rescue-floor'), changed([...usual, { code: 'fine', label: 'Fine' }]))).toMatchObject([
      { why: 'answers' },
    ])
  })
  it('a step that lost its gate has it again', () => {
    const usual = jobInWords('commissioning').steps.find((s) => s.key === 'ramp')!
    expect(guardedStep({ ...usual, gate: undefined }, usual).gate).toBe('feeding')
  })
})
