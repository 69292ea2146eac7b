import type { FieldProblem } from '@/domain/shared/problems'
import type { Missing } from '@/domain/visits/visit-progress'
import type { AnswerProblem } from '@/domain/visits/step-check'
import type { Texts } from '../texts'

/** A problem with a step's answer as it is shown: one sentence, and the same at the fields it is about. */
export interface AnswerProblemWords {
  readonly message: string
  readonly fields: readonly FieldProblem[]
}

const missingName = (missing: Missing, t: Texts): string =>
  missing === 'choice' || missing === 'fish' || missing === 'photo' || missing === 'signedBy'
    ? t(`visits.missingWords.${missing}`)
    : t(`water.readingNames.${missing}`).toLowerCase()

function sentence(problem: AnswerProblem, t: Texts): string {
  switch (problem.code) {
    case 'missing':
      return t('visits.answerProblem.missing', { what: problem.missing.map((m) => missingName(m, t)).join(', ') })
    case 'unreadable':
      return t('visits.answerProblem.unreadable')
    case 'no-such-choice':
      return problem.choices.length > 0
        ? t('visits.answerProblem.noSuchChoice', { choice: problem.choice, choices: problem.choices.join(', ') })
        : t('visits.answerProblem.noChoiceAsked', { choice: problem.choice })
    case 'impossible':
      return t('visits.answerProblem.impossible', { ...readingOf(problem, t) })
    case 'unusual':
      return t('visits.answerProblem.unusual', { ...readingOf(problem, t) })
    case 'figure-impossible':
      return t('visits.answerProblem.figureImpossible', {
        name: t(`visits.figureNames.${problem.figure}`),
        from: problem.range[0],
        to: problem.range[1],
      })
    case 'over-label':
      return t('visits.answerProblem.overLabel', {
        product: problem.product,
        most: `${problem.most}${problem.unit === 'each' ? '' : ` ${problem.unit}`}`,
      })
  }
}

const readingOf = ({ kind, value, range }: Extract<AnswerProblem, { code: 'impossible' | 'unusual' }>, t: Texts) => ({
  name: t(`water.readingNames.${kind}`),
  value,
  from: range[0],
  to: range[1],
})

/** The short word at a field, where the sentence beside it says the rest. */
function atField(problem: AnswerProblem, message: string, t: Texts): Omit<FieldProblem, 'path'> {
  if (problem.code === 'missing') return { message: t('visits.answerProblem.missingField'), code: 'missing' }
  if (problem.code === 'unreadable') return { message: t('visits.answerProblem.unreadableField') }
  return problem.code === 'unusual' ? { message, code: 'unusual' } : { message }
}

/** What is said of a problem with a step's answer. */
export function answerProblemWords(problem: AnswerProblem, t: Texts): AnswerProblemWords {
  const message = sentence(problem, t)
  return { message, fields: problem.paths.map((path) => ({ path, ...atField(problem, message, t) })) }
}
