import type { Problem } from '@/domain/shared/problems'
import { inWords } from '@/domain/shared/said'
import type { AnswerProblem } from '@/domain/visits/step-check'
import { answerProblemWords } from '@/messages/visits/answer-problem'
import { firmTexts } from '@/messages/texts'

/** A step's answer or a reading that cannot be taken, as the problem it is answered with. */
export function answerRefused(problem: AnswerProblem): Problem {
  const { message, fields } = answerProblemWords(problem, firmTexts())
  return { kind: 'bad-input', message: inWords(message), fields }
}
