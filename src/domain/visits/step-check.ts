import { STEP_FIGURES, figurePossible, type StepFigure } from '../../core/visits/figures'
import type { VisitStep } from '../../core/visits/step'
import type { ProductUnit } from '../../core/water/dosing/products'
import { judgeReading, READING_KINDS, type ReadingKindName } from '../../core/water/readings'
import { missingFrom, type Missing } from './visit-progress'
import type { StepAnswer } from './visit'

/**
 * Why an answer cannot be logged as it stands, with the fields it is about; an unusual one goes through once it is
 * confirmed.
 */
export type AnswerProblem = { readonly paths: readonly string[] } & (
  | { readonly code: 'missing'; readonly missing: readonly Missing[] }
  | { readonly code: 'unreadable' }
  | { readonly code: 'no-such-choice'; readonly choice: string; readonly choices: readonly string[] }
  | {
      readonly code: 'impossible' | 'unusual'
      readonly kind: ReadingKindName
      readonly value: number
      readonly range: readonly [number, number]
    }
  | { readonly code: 'figure-impossible'; readonly figure: StepFigure; readonly range: readonly [number, number] }
  | { readonly code: 'over-label'; readonly product: string; readonly most: number; readonly unit: ProductUnit }
)

/**
 * What is wrong with a step's answer, the same at the water's edge and on the server.
 * @param photos photos of the step that are kept already
 */
export function answerProblem(
  step: VisitStep,
  answer: StepAnswer,
  photos: number,
  confirmedUnlikely: boolean,
): AnswerProblem | null {
  return (
    missingProblem(step, answer, photos) ??
    choiceProblem(step, answer) ??
    readingsProblem(answer.readings, confirmedUnlikely, 'answer.') ??
    figuresProblem(answer)
  )
}

function missingProblem(step: VisitStep, answer: StepAnswer, photos: number): AnswerProblem | null {
  const missing = missingFrom(step, answer, photos)
  if (missing.length === 0) return null
  return {
    code: 'missing',
    missing,
    paths: missing.map((m) => (m in READING_KINDS ? `answer.readings.${m}` : `answer.${m}`)),
  }
}

/** A choice is one of the step's codes, never a sentence. */
function choiceProblem(step: VisitStep, { choice }: StepAnswer): AnswerProblem | null {
  const choices = (step.choices ?? []).map((c) => c.code)
  if (choice === undefined || choices.includes(choice)) return null
  return { code: 'no-such-choice', choice, choices, paths: ['answer.choice'] }
}

/** Readings that cannot be true are refused, unusual ones asked about. */
export function readingsProblem(
  readings: StepAnswer['readings'],
  confirmedUnlikely: boolean,
  pathPrefix = '',
): AnswerProblem | null {
  for (const [kind, { value }] of Object.entries(readings ?? {}) as [ReadingKindName, { value: number }][]) {
    const judgement = judgeReading(kind, value)
    const { possible, likely } = READING_KINDS[kind]
    const paths = [`${pathPrefix}readings.${kind}`]
    if (judgement === 'impossible') return { code: 'impossible', kind, value, range: possible, paths }
    if (judgement === 'unlikely' && !confirmedUnlikely) return { code: 'unusual', kind, value, range: likely, paths }
  }
  return null
}

function figuresProblem({ figures }: StepAnswer): AnswerProblem | null {
  for (const [figure, value] of Object.entries(figures ?? {}) as [StepFigure, number][])
    if (!figurePossible(figure, value))
      return {
        code: 'figure-impossible',
        figure,
        range: STEP_FIGURES[figure].possible,
        paths: [`answer.figures.${figure}`],
      }
  return null
}
