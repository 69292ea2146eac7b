import { visitType } from '../../core/visits/visit-types'
import type { UsualStep, VisitStep, VisitType, StepChoice } from '../../core/visits/step'
import { OLD_ANSWERS } from './old-answers'

/**
 * Steps as they were stored before answers had codes: a choice was the sentence that people read.
 * Kept visits, a firm's own visit types and what devices hold are brought to today's shape by what stands here.
 */
interface StoredStep extends Omit<VisitStep, 'choices'> {
  readonly choices?: readonly (string | StepChoice)[]
}

/** Letters and digits only: commas, blanks and capitals of a sentence do not make it another answer. */
const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '')

/** A code of its own for an answer that only this firm has. */
export const ownChoiceCode = (label: string, taken: readonly string[]): string => {
  const slug = plain(label).slice(0, 24) || 'answer'
  const code = slug.normalize('NFKD').replace(/[^a-z0-9]/g, '') || 'answer'
  if (!taken.includes(code)) return code
  return `${code}-${Array.from({ length: taken.length + 2 }, (_, i) => i + 2).find((n) => !taken.includes(`${code}-${n}`))}`
}

/**
 * Answers of a stored step with their codes: those of the usual step by what they say or, where a gate decides by
 * them, by their place.
 */
function codedChoices(step: StoredStep, usual: UsualStep | undefined): readonly StepChoice[] | undefined {
  const { choices } = step
  if (!choices) return undefined
  const coded: StepChoice[] = []
  choices.forEach((choice, i) => {
    if (typeof choice !== 'string') return coded.push(choice)
    const said = OLD_ANSWERS[plain(choice)]
    const known = usual?.choices?.find((code) => code === said) ?? (usual?.gate ? usual.choices?.[i] : undefined)
    const taken = coded.map((c) => c.code)
    const code = known && !taken.includes(known) ? known : ownChoiceCode(choice, [...taken, ...(usual?.choices ?? [])])
    return coded.push({ code, label: choice })
  })
  return coded
}

type Guarding = Pick<VisitStep, 'gate' | 'readings' | 'required' | 'key' | 'waits' | 'again' | 'timerMinutes'>

/**
 * A step with what protects people and fish as the usual one has it today: its gate, and the tests that the gate goes
 * by.
 */
export function guardedStep<Step extends Guarding>(step: Step, usual: Guarding | undefined): Step {
  if (!usual) return step
  const needed = usual.key === 'test-refilled' ? (usual.required ?? []) : []
  const more = (list: VisitStep['readings']) => (needed.length > 0 ? [...new Set([...(list ?? []), ...needed])] : list)
  const timed = {
    ...(usual.waits && step.timerMinutes ? { waits: true } : {}),
    ...(usual.again ? { again: true } : {}),
  }
  const gated = { ...step, ...timed, ...(usual.gate ? { gate: usual.gate } : {}) }
  return needed.length > 0 ? { ...gated, readings: more(step.readings), required: more(step.required) } : gated
}

/**
 * Titles stand in lists, letters and reports, where nobody turns figures into a person's units: the figure went into
 * the detail.
 */
const FIGURE_TITLES: Readonly<Record<string, Pick<VisitStep, 'title' | 'detail'>>> = {
  'Tell: low-protein feed now, none below {10|temperature}': {
    title: 'Tell: low-protein feed now, none in the cold',
    detail: 'None in water below {10|temperature}.',
  },
}

/** Steps of a visit type in today's shape. @param key the visit type */
export function upgradeSteps(key: string, steps: readonly StoredStep[]): VisitStep[] {
  const usual = new Map((visitType(key)?.steps ?? []).map((step) => [step.key, step]))
  return steps.map((step) => {
    const { choices, ...stored } = step
    const rest = { ...stored, ...FIGURE_TITLES[step.title] }
    const coded = codedChoices(step, usual.get(step.key))
    return guardedStep(coded ? { ...rest, choices: coded } : rest, usual.get(step.key))
  })
}

/**
 * Notes for the customer that used to say what was done, whatever the log held. A note only advises now; what was
 * done is told from the log.
 */
const CLAIMING_NOTES: Readonly<Record<string, string>> = {
  'The pond is running again. Feed lightly and only once the water is warm enough.':
    'Feed lightly, and only once the water is warm enough.',
  'The net keeps leaves out of the water. Shake it off when it is full; do not walk on it. Feed less as the water cools.':
    'Shake the net off when it is full; do not walk on it. Feed less as the water cools.',
  'The pond is wintering as it should.':
    'Keep a hole in the ice open; never break it with blows. Call us when fish lie at the surface.',
  'The pond runs through the winter. Look for ice dams after every frost and call us when water leaves the falls.':
    'Look for ice dams after every frost, and call us when water leaves the falls.',
  'The water will look murky for 24 to 48 hours. Please do not feed for 24 hours, then feed lightly for a week.':
    'The water may look murky for a day or two. Please do not feed for 24 hours, then feed lightly for a week.',
  'Everything was looked over. Feed by the temperature, and top up when the level falls.':
    'Feed by the temperature of the water, and top up when the level falls.',
  'Plants were cut back before they seed; the cuttings carried nutrients out of the pond.':
    'Take dead leaves off the water when you see them: what rots in it feeds algae.',
  'The sludge of the season is out of the filter; the water may be a little cloudy for a day.':
    'The water may be a little cloudy for a day.',
}

export const upgradeNote = (note: string): string => CLAIMING_NOTES[note] ?? note

export const upgradeVisitType = (job: VisitType): VisitType => ({
  ...job,
  customerNote: upgradeNote(job.customerNote),
  steps: upgradeSteps(job.key, job.steps),
})

/** A logged answer by its code; one that no answer of the step says is kept among the notes. */
export function upgradeAnswer<Answer extends { readonly choice?: string; readonly note?: string }>(
  answer: Answer,
  step: VisitStep | undefined,
): Answer {
  const { choice, ...rest } = answer
  if (choice === undefined || step?.choices?.some((c) => c.code === choice)) return answer
  const known = step?.choices?.find((c) => plain(c.label) === plain(choice))
  if (known) return { ...answer, choice: known.code }
  return { ...rest, note: [choice, answer.note].filter(Boolean).join(': ') } as unknown as Answer
}

/** A line of a log in today's shape. */
export function upgradeEntry<Line extends object>(entry: Line, steps: readonly VisitStep[]): Line {
  const { kind, stepKey, answer } = entry as {
    kind?: unknown
    stepKey?: unknown
    answer?: { choice?: string; note?: string }
  }
  if (kind !== 'done' || !answer || typeof answer !== 'object') return entry
  return {
    ...entry,
    answer: upgradeAnswer(
      answer,
      steps.find((s) => s.key === stepKey),
    ),
  }
}
