import { addDays } from '@/core/numeric/calendar'
import { needsOf } from '@/core/schedule/needs/needs-of'
import type { Need, PondTask, PondWork } from '@/core/schedule/needs/pond-work'
import { USUAL_WEEKS } from '@/core/season/usual-water'
import type { PlanWish } from '@/domain/schedule/plan-run'
import { windowsIn } from '@/domain/season/season-dates'
import type { PondId } from '@/domain/shared/ids'
import type { PlanningPond, PlanningVisit } from '@/server/schedule/planning-repository'

export interface PondNeeds {
  readonly needs: readonly Need[]
  readonly missed: readonly { readonly pondId: PondId; readonly job: string; readonly latest: string }[]
  readonly noWindow: readonly { readonly pondId: PondId; readonly job: string }[]
  /** Tasks that visits which stand take along. */
  readonly joins: ReadonlyMap<string, readonly PondTask[]>
  /** What each pond's needs were made from. */
  readonly works: readonly PondWork[]
}

interface NeedsFrom {
  readonly ponds: readonly PlanningPond[]
  /** All visits, done ones too: repeats count from them. */
  readonly visits: readonly PlanningVisit[]
  /** Those that stand in the plan. */
  readonly published: readonly PlanningVisit[]
  readonly tasks: readonly (PondTask & { readonly pondId: PondId })[]
  readonly wish: Pick<PlanWish, 'to' | 'lateByDays'>
  readonly from: string
  readonly today: string
}

/** What every pond asks for over the plan's days, beside what is planned. */
export function needsOfPonds(given: NeedsFrom): PondNeeds {
  const { ponds, wish, from } = given
  const works = ponds.map((pond) => workOf(pond, given))
  const found = works.map((work) => ({ pondId: work.pondId as PondId, ...needsOf(work, from, wish.to) }))
  const joins = new Map<string, PondTask[]>()
  for (const { visit, task } of found.flatMap((f) => f.joins)) joins.set(visit, [...(joins.get(visit) ?? []), task])
  return {
    needs: found.flatMap((f) => f.needs),
    missed: found.flatMap(({ pondId, missed }) => missed.map((m) => ({ ...m, pondId }))),
    noWindow: found.flatMap(({ pondId, noWindow }) => noWindow.map((m) => ({ ...m, pondId }))),
    joins,
    works,
  }
}

function workOf(pond: PlanningPond, { visits, published, tasks, wish, today }: NeedsFrom): PondWork {
  const here = <Of extends { readonly pondId: string }>(all: readonly Of[]) =>
    all.filter((one) => one.pondId === pond.pondId)
  return {
    pondId: pond.pondId,
    lines: pond.lines,
    since: pond.since ?? today,
    windowsIn: (year) => windowsIn(pond.windows, year).map((w) => delayed(w, wish.lateByDays)),
    weeklyWaterC: pond.weeklyC ?? USUAL_WEEKS,
    aggressivePlants: pond.aggressivePlants,
    visits: here(visits).flatMap((v) => [v.job, ...v.also].map((job) => ({ job, day: v.day }))),
    planned: here(published).filter((v) => v.state === 'planned'),
    tasks: here(tasks),
  }
}

const delayed = <W extends { job: string; earliest: string; best: string; latest: string }>(
  window: W,
  days: number,
): W =>
  days === 0
    ? window
    : {
        ...window,
        earliest: addDays(window.earliest, days),
        best: addDays(window.best, days),
        latest: addDays(window.latest, days),
      }

/** As many customers more, each like one there is, with all that its ponds need. Their keys tell them apart. */
export function newCustomerNeeds(works: readonly PondWork[], count: number, from: string, to: string): Need[] {
  const served = works.filter((work) => work.lines.length > 0)
  return Array.from({ length: served.length === 0 ? 0 : count }, (_, i) => {
    // spread over the list rather than its first few
    const twin = served[Math.floor(((i + 0.5) * served.length) / count) % served.length]!
    const named = (id: string) => `new-customer-${i + 1}:${id}`
    // all that its twin asks for, whether that is planned by now or not
    return needsOf({ ...twin, visits: [], planned: [], tasks: [] }, from, to)
      .needs.filter((need) => !need.late)
      .map((need) => ({
        ...need,
        id: named(need.id),
        tasks: [],
        after: need.after.map((a) => ({ ...a, need: named(a.need) })),
      }))
  }).flat()
}
