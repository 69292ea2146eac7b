import { z } from 'zod'
import { STEP_FIGURE_NAMES } from '../../core/visits/figures'
import { STEP_GATES, STEP_KINDS, STEP_QUANTITIES, type VisitStep, type VisitType } from '../../core/visits/step'
import { CARE_ACTIONS } from '../../core/plants/care-rules'
import { PRODUCT_PURPOSES } from '../../core/water/dosing/products'
import { READING_KINDS, type ReadingKindName } from '../../core/water/readings'
import { shortText } from '../shared/fields'
import { guardedStep } from './visit-type-upgrade'
import { said } from '../shared/said'

const readingKind = z.enum(Object.keys(READING_KINDS) as [ReadingKindName, ...ReadingKindName[]])
const KEY = /^[a-z0-9][a-z0-9-]{0,39}$/

const Step = z.strictObject({
  key: z.string().regex(KEY, { error: said('kit.problems.keySmallLettersDigitsHyphens') }),
  section: shortText('visits.fields.section', 40),
  kind: z.enum(STEP_KINDS, { error: said('visits.problems.chooseWhatKindStep') }),
  title: shortText('visits.fields.title', 120),
  detail: z
    .string()
    .trim()
    .max(800, { error: said('visits.problems.mostCharacters') })
    .optional(),
  safety: z
    .string()
    .trim()
    .max(500, { error: said('visits.problems.mostCharacters2') })
    .optional(),
  readings: z.array(readingKind).max(18).optional(),
  required: z.array(readingKind).max(18).optional(),
  figures: z.array(z.enum(STEP_FIGURE_NAMES)).max(10).optional(),
  quantity: z.enum(STEP_QUANTITIES).optional(),
  products: z.array(z.enum(PRODUCT_PURPOSES)).max(10).optional(),
  timerMinutes: z
    .int()
    .min(1, { error: said('visits.problems.leastMinute') })
    .max(1440, { error: said('visits.problems.mostDay') })
    .optional(),
  waits: z.boolean().optional(),
  again: z.boolean().optional(),
  choices: z
    .array(
      z.strictObject({
        code: z.string().regex(KEY, { error: said('visits.problems.codeSmallLettersDigitsHyphens') }),
        label: shortText('visits.fields.answer', 80),
      }),
    )
    .max(10)
    .optional(),
  gate: z.enum(STEP_GATES).optional(),
  onceAtStop: z.boolean().optional(),
  plants: z.array(z.enum(CARE_ACTIONS)).max(CARE_ACTIONS.length).optional(),
})

/** A firm's own copy of a visit type: its words and its order; what protects people and fish stays. */
export const OwnVisitType = z
  .strictObject({
    name: shortText('visits.fields.name', 60),
    customerNote: shortText('visits.fields.noteForTheCustomer', 400),
    steps: z
      .array(Step)
      .min(1, { error: said('visits.problems.keepLeastOneStep') })
      .max(80),
  })
  .superRefine(({ steps }, context) => {
    const keys = steps.map((s) => s.key)
    steps.forEach((step, i) => {
      const say = (path: string, message: string) =>
        context.addIssue({ code: 'custom', path: ['steps', i, path], message })
      if (keys.indexOf(step.key) !== i) say('key', said('visits.problems.twoStepsKey'))
      if (step.kind === 'decide' && (step.choices ?? []).length < 2)
        say('choices', said('visits.problems.decisionNeedsLeastTwoAnswers'))
      const codes = (step.choices ?? []).map((c) => c.code)
      if (codes.some((code, n) => codes.indexOf(code) !== n)) say('choices', said('visits.problems.twoAnswersSameCode'))
      if (step.kind === 'timer' && step.timerMinutes === undefined)
        say('timerMinutes', said('visits.problems.sayHowLongTimerRuns'))
      if (step.kind === 'measure' && (step.readings ?? []).length + (step.figures ?? []).length === 0)
        say('readings', said('visits.problems.chooseWhatMeasured'))
    })
  })
export type OwnVisitType = z.infer<typeof OwnVisitType>

/** What a firm's copy of a visit type must keep. */
export interface KeptPart {
  readonly stepKey: string
  readonly title: string
  readonly why: 'safety' | 'gate' | 'missing' | 'answers'
}

const codesOf = ({ choices = [] }: VisitStep): string =>
  choices
    .map((c) => c.code)
    .sort()
    .join()

/**
 * Safety notes and gates of the usual steps that a copy has lost: wording is free, they are not. Steps with a gate
 * must stay.
 */
export function lostParts(usual: VisitType, steps: readonly VisitStep[]): KeptPart[] {
  return usual.steps.flatMap((step): KeptPart[] => {
    const own = steps.find((s) => s.key === step.key)
    const lost = (why: KeptPart['why']): KeptPart[] => [{ stepKey: step.key, title: step.title, why }]
    if (!own) return step.gate ? lost('missing') : []
    if (step.gate && own.gate !== step.gate) return lost('gate')
    // a gate decides by the codes of the answers: their words are free, the codes are not
    if (step.gate && codesOf(own) !== codesOf(step)) return lost('answers')
    return step.safety && !own.safety ? lost('safety') : []
  })
}

/** The firm's copy over the usual kind: what it does not name, such as follow-ups, follows the usual one. */
export const withOwn = (job: VisitType, own: OwnVisitType | undefined, version: number): VisitType =>
  own
    ? {
        ...job,
        name: own.name,
        customerNote: own.customerNote,
        steps: own.steps.map((step) =>
          guardedStep(
            step,
            job.steps.find((s) => s.key === step.key),
          ),
        ),
        version: job.version * 1000 + version,
      }
    : job
