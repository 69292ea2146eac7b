import { attentionOf } from '@/domain/ponds/pond-state'
import type { PondLine } from '@/server/ponds/ponds'

/** What a list or a map of ponds is narrowed down to by one press. */
export const FILTERS = ['all', 'attention', 'risk', 'unplanned', 'no-plan', 'no-filter'] as const
type Filter = (typeof FILTERS)[number]

/** Whether a pond is among those that a filter shows. */
export const HOLDS: Readonly<Record<Filter, (pond: PondLine) => boolean>> = {
  all: () => true,
  attention: (pond) => attentionOf(pond) !== 'none',
  risk: (pond) => pond.risk !== null,
  unplanned: (pond) => pond.nextVisit === null,
  'no-plan': (pond) => pond.agreed === 0,
  'no-filter': (pond) => pond.filter === null,
}
