import { isAnswer, outcomeOf, type GateContext, type GateOutcome } from './gate'

/** Answers of steps that stir deep sediment. */
export const SLUDGE_SIGNS = ['calm', 'rotten-eggs', 'gasping'] as const

/**
 * Deep sediment is stirred a section at a time; a smell of rotten eggs or gasping fish is a stop: air on, ventilate.
 */
export function deepSludgeGate({ choice }: GateContext): GateOutcome {
  if (!isAnswer(SLUDGE_SIGNS, choice)) return outcomeOf([{ code: 'needs-answer' }])
  if (choice === 'rotten-eggs') return outcomeOf([{ code: 'sulfide-smell' }])
  if (choice === 'gasping') return outcomeOf([{ code: 'gasping' }])
  return outcomeOf([])
}
