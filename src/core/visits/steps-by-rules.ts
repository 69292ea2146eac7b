import type { VisitStep, VisitType } from './step'
import type { VisitWords } from './worded'

/**
 * House answers that change what is done on visits.
 * @source domain switches; each has both its arguments in the house rules
 */
export interface VisitRules {
  readonly bacteria: 'regular' | 'after-disturbance' | 'none'
  readonly uv: 'always' | 'crutch' | 'never'
  readonly winterSalt: 'none' | 'tenth-percent'
  readonly stringAlgae: 'by-place' | 'ioniser' | 'hand' | 'treat'
  readonly waterChanges: 'routine' | 'top-up'
  readonly mediaRinse: 'pond-water' | 'tap-reset'
  readonly winterIntake: 'upper' | 'unchanged'
  readonly rinsing: 'hose' | 'pressure'
  readonly feedingStartWaterC: number
  readonly feedingNormalWaterC: number
}

/** What a practice makes of a step: changed, or null where it is not done at all. */
type StepRule = (step: VisitStep, job: VisitType, rules: VisitRules, words: VisitWords['byRule']) => VisitStep | null

const saying = (step: VisitStep, words: string): VisitStep => ({
  ...step,
  detail: step.detail ? `${step.detail} ${words}` : words,
})

const RULES: readonly StepRule[] = [
  (step, job, { bacteria }) => {
    if (!step.products?.some((p) => p === 'bacteria' || p === 'cold-bacteria')) return step
    if (bacteria === 'none') return null
    return bacteria === 'after-disturbance' && job.key === 'routine' ? null : step
  },
  (step, _, { uv }) => (uv === 'never' && step.key === 'lamp' ? null : step),
  (step, _, { winterSalt }) => (winterSalt === 'none' && step.quantity === 'winter-salt' ? null : step),
  (step, _, { stringAlgae }, words) => {
    if (step.gate === 'algae-treatment') return stringAlgae === 'treat' ? step : null
    if (step.key !== 'algae') return step
    if (stringAlgae === 'hand')
      return {
        ...step,
        choices: step.choices?.filter((c) => c.code !== 'left'),
        detail: words({ code: 'by-hand' }),
      }
    return stringAlgae === 'ioniser' ? saying(step, words({ code: 'ioniser' })) : step
  },
  // a rescue or a startup changes water because it must; a routine visit only where the house does it by routine
  (step, job, { waterChanges }) =>
    waterChanges === 'top-up' && step.gate === 'water-change' && job.key === 'routine' ? null : step,
  (step, _, { mediaRinse }) =>
    step.gate === 'media-clean' && mediaRinse === 'pond-water'
      ? { ...step, choices: step.choices?.filter((choice) => choice.code !== 'tap-water') }
      : step,
  (step, _, { winterIntake }) => (step.key === 'intake' && winterIntake === 'unchanged' ? null : step),
  (step, _, { rinsing }, words) => {
    if (step.key !== 'rinse-stone') return step
    if (rinsing === 'hose') return saying(step, words({ code: 'hose' }))
    return {
      ...saying(step, words({ code: 'pressure' })),
      safety: [step.safety, words({ code: 'pressure-safety' })].filter(Boolean).join(' '),
    }
  },
  (step, _, { feedingStartWaterC, feedingNormalWaterC }, words) =>
    step.key === 'feed-advice'
      ? {
          ...step,
          detail: words({ code: 'feeding', startWaterC: feedingStartWaterC, normalWaterC: feedingNormalWaterC }),
        }
      : step,
]

/**
 * A visit type as the house rules at a pond have it: steps that are not done there are left out, others say what is
 * done.
 */
export function visitTypeByRules(job: VisitType, rules: VisitRules, words: VisitWords): VisitType {
  const steps = job.steps.flatMap((step): VisitStep[] => {
    const changed = RULES.reduce<VisitStep | null>((at, rule) => at && rule(at, job, rules, words.byRule), step)
    return changed ? [changed] : []
  })
  return { ...job, steps }
}
