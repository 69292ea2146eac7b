import { STEP_FIGURES, figurePossible, type StepFigure } from '../../core/visits/figures'
import type { JobStep } from '../../core/visits/step'
import { judgeReading, READING_KINDS, type ReadingKindName } from '../../core/water/readings'
import { FIGURE_NAMES } from './figure-names'
import type { FieldProblem } from '../shared/problems'
import { READING_NAMES } from '../water/reading-names'
import { missingFrom } from './visit-progress'
import type { StepAnswer } from './visit'

/** Why an answer cannot be logged as it stands; `unusual` ones go through once they are confirmed. */
export interface AnswerProblem {
  readonly message: string
  readonly fields: readonly FieldProblem[]
  readonly unusual: boolean
}

const MISSING_WORDS: Readonly<Record<string, string>> = {
  choice: 'a decision',
  fish: 'the fish count',
  photo: 'at least one photo',
  signedBy: 'the name of who was told',
}

/**
 * What is wrong with a step's answer, the same at the water's edge and on the server.
 * @param photos photos of the step that are kept already
 */
export function answerProblem(step: JobStep, answer: StepAnswer, photos: number, confirmedUnlikely: boolean): AnswerProblem | null {
  return (
    missingProblem(step, answer, photos) ??
    choiceProblem(step, answer) ??
    readingsProblem(answer.readings, confirmedUnlikely, 'answer.') ??
    figuresProblem(answer)
  )
}

function missingProblem(step: JobStep, answer: StepAnswer, photos: number): AnswerProblem | null {
  const missing = missingFrom(step, answer, photos)
  if (missing.length === 0) return null
  const words = missing.map((m) => MISSING_WORDS[m] ?? READING_NAMES[m as ReadingKindName].toLowerCase())
  return {
    message: `This step still needs ${words.join(', ')}.`,
    fields: missing.map((m) => ({
      path: READING_KINDS[m as ReadingKindName] ? `answer.readings.${m}` : `answer.${m}`,
      message: 'Missing.',
      code: 'missing' as const,
    })),
    unusual: false,
  }
}

/** A choice is one of the step's codes, never a sentence. */
function choiceProblem(step: JobStep, { choice }: StepAnswer): AnswerProblem | null {
  if (choice === undefined || step.choices?.some((c) => c.code === choice)) return null
  const message = `This step has no answer “${choice}”. Choose one of ${(step.choices ?? []).map((c) => c.code).join(', ') || 'none: it asks for no decision'}.`
  return { message, fields: [{ path: 'answer.choice', message }], unusual: false }
}

/** Readings that cannot be true are refused, unusual ones asked about. */
export function readingsProblem(readings: StepAnswer['readings'], confirmedUnlikely: boolean, pathPrefix = ''): AnswerProblem | null {
  for (const [kind, reading] of Object.entries(readings ?? {}) as [ReadingKindName, { value: number }][]) {
    const judgement = judgeReading(kind, reading.value)
    const { possible, likely } = READING_KINDS[kind]
    const name = READING_NAMES[kind]
    const say = (message: string, unusual: boolean) => ({
      message,
      fields: [{ path: `${pathPrefix}readings.${kind}`, message, ...(unusual ? { code: 'unusual' as const } : {}) }],
      unusual,
    })
    if (judgement === 'impossible') return say(`${name} cannot be ${reading.value}. It lies between ${possible[0]} and ${possible[1]}: read it again.`, false)
    if (judgement === 'unlikely' && !confirmedUnlikely)
      return say(`${name} ${reading.value} is unusual (mostly ${likely[0]} to ${likely[1]}). Read it again, then confirm it.`, true)
  }
  return null
}

function figuresProblem({ figures }: StepAnswer): AnswerProblem | null {
  for (const [figure, value] of Object.entries(figures ?? {}) as [StepFigure, number][]) {
    if (figurePossible(figure, value)) continue
    const [least, most] = STEP_FIGURES[figure].possible
    const message = `${FIGURE_NAMES[figure]} cannot be so. It lies between ${least} and ${most} in SI units.`
    return { message, fields: [{ path: `answer.figures.${figure}`, message }], unusual: false }
  }
  return null
}
