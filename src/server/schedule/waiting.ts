import type { PlanOutcome } from '@/core/schedule/plan/make-plan'
import { needsOf } from '@/core/schedule/needs/needs-of'
import { addDays } from '@/core/numeric/calendar'
import type { PondId } from '@/domain/shared/ids'
import type { WaitingNeed } from '@/domain/schedule/plan-run'
import type { PlanContext } from './gather'

/** Looks so far beyond the end of a plan. */
const AHEAD_DAYS = 366

/**
 * What is agreed but comes due only after the last day of a plan: the next of each job at each pond, the soonest
 * first.
 */
export function waitingNeeds(
  { works, needs, published, ponds }: PlanContext,
  outcome: PlanOutcome,
  lastDay: string,
): WaitingNeed[] {
  const placed = outcome.assignments.flatMap(({ visit, day }) => {
    const of = needs.get(visit) ?? published.get(visit)
    return of ? [of.job, ...of.also].map((job) => ({ pondId: of.pondId as string, job, day })) : []
  })
  const from = addDays(lastDay, 1)
  return works
    .flatMap((work) => {
      const visits = [...work.visits, ...placed.filter((p) => p.pondId === work.pondId)]
      const next = new Map<string, { earliest: string; latest: string }>()
      for (const need of needsOf({ ...work, visits, planned: [], tasks: [] }, from, addDays(lastDay, AHEAD_DAYS)).needs)
        for (const job of [need.job, ...need.also]) {
          const known = next.get(job)
          if (!need.late && need.earliest > lastDay && (!known || need.earliest < known.earliest)) next.set(job, need)
        }
      const pond = ponds.get(work.pondId as PondId)!
      return [...next].map(([job, { earliest, latest }]) => ({
        pondName: pond.name,
        siteName: pond.siteName,
        job,
        earliest,
        latest,
      }))
    })
    .sort((a, b) => a.earliest.localeCompare(b.earliest) || a.siteName.localeCompare(b.siteName))
}
