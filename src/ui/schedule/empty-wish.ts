import type { PlanWish } from '@/domain/schedule/plan-run'

/** A plan as things are, without any what-if. */
export const EMPTY_WISH: Omit<PlanWish, 'from' | 'to'> = {
  lateByDays: 0,
  crewsAway: [],
  newCustomers: 0,
  withoutKit: [],
  lostDays: [],
  absent: [],
  reason: '',
  fromTime: null,
  mayMove: true,
}
