import type { VisitState } from '@/domain/visits/visit'

export const VISIT_STATE_NAMES: Readonly<Record<VisitState, string>> = {
  planned: 'planned',
  'under-way': 'under way',
  done: 'done',
  'given-up': 'could not be done',
  cancelled: 'taken off the plan',
}
