import type { UsualStep, UsualVisitType, VisitStep, VisitType } from './step'

/** Where the words of visits come from: a language's catalogue. */
export interface VisitWords {
  /** The name of a visit type, by its key. */
  readonly name: (key: string) => string
  readonly customerNote: (key: string) => string
  /** What the test is called that follows a visit; empty where none does. */
  readonly followUp: (key: string) => string
  readonly section: (code: string) => string
  readonly step: (step: UsualStep) => Pick<VisitStep, 'title' | 'detail' | 'safety'>
  readonly answer: (step: UsualStep, code: string) => string
  /** What a customer is told on the evening of a cleanout that takes two days. */
  readonly overnightNote: string
  /** What tasks beside the job are headed by. */
  readonly whileThere: string
  /** The name of one visit for several jobs. */
  readonly together: (host: VisitType, also: readonly VisitType[]) => string
  /** What the house rules add to a step. */
  readonly byRule: (rule: RuleWords) => string
}

/** What house rules say at a step, with its values. */
export type RuleWords =
  | { readonly code: 'by-hand' | 'ioniser' | 'hose' | 'pressure' | 'pressure-safety' }
  | { readonly code: 'feeding'; readonly startWaterC: number; readonly normalWaterC: number }

/** A usual step in words. */
export function wordedStep(step: UsualStep, words: VisitWords): VisitStep {
  const { section, words: _, amounts: __, choices, ...facts } = step
  return {
    ...facts,
    section: words.section(section),
    ...words.step(step),
    ...(choices ? { choices: choices.map((code) => ({ code, label: words.answer(step, code) })) } : {}),
  }
}

/** A usual visit type in words. */
export const wordedVisitType = (type: UsualVisitType, words: VisitWords): VisitType => ({
  ...type,
  name: words.name(type.key),
  customerNote: words.customerNote(type.key),
  followUpTitle: words.followUp(type.key),
  steps: type.steps.map((step) => wordedStep(step, words)),
})
