import { outcomeOf, type GateContext, type GateOutcome } from './gate'

/** Answers of steps that stir deep sediment. */
export const SLUDGE_SIGNS = ['No smell, fish calm', 'Smell of rotten eggs', 'Fish gasp at the surface'] as const

/** Deep sediment is stirred a section at a time; a smell of rotten eggs or gasping fish is a stop: air on, ventilate. */
export function deepSludgeGate({ choice }: GateContext): GateOutcome {
  if (choice === SLUDGE_SIGNS[1]) return outcomeOf([{ code: 'sulfide-smell' }])
  if (choice === SLUDGE_SIGNS[2]) return outcomeOf([{ code: 'gasping' }])
  return outcomeOf([])
}
