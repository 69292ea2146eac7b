import { TASK_KEY } from '@/core/schedule/needs/pond-work'
import type { VisitTypeKey } from '@/core/visits/visit-type-keys'
import { addDays } from '@/core/numeric/calendar'
import { clockAfter, overlapping } from '@/domain/schedule/clash'
import type { LeftChange, PlanChange } from '@/domain/schedule/plan-run'
import { holdsHours } from '@/domain/visits/visit'
import type { PlanningVisit } from '@/server/schedule/planning-repository'
import { said, type Said } from '@/domain/shared/said'

/** One line of a crew's day: a change to take over, or a visit that stays as it is. */
interface Slot {
  readonly key: string
  readonly siteOf: string
  readonly startTime: string
  readonly plannedMinutes: number
  readonly change: PlanChange | null
}

/**
 * Which of the chosen changes still can be taken over as the visits stand now. A change that is left out keeps its
 * visit where it was,
 * which may be in the way of others; so it is looked through until nothing is in the way of anything.
 */
export function sift(
  standing: readonly PlanningVisit[],
  chosen: readonly PlanChange[],
): { good: PlanChange[]; left: LeftChange[] } {
  const byId = new Map(standing.map((v) => [v.id as string, v]))
  const left = new Map<string, LeftChange>()
  const leave = (change: PlanChange, why: Said) => {
    if (!left.has(change.key))
      left.set(change.key, { key: change.key, siteName: change.siteName, job: change.job, why })
    // the two days of one cleanout go together or not at all
    const other = chosen.find((c) => c.key === change.pair)
    if (other && !left.has(other.key)) leave(other, said('schedule.leftOut.otherDay'))
  }
  for (const change of chosen) {
    const why = staleness(byId, standing, change)
    if (why) leave(change, why)
  }
  for (;;) {
    const good = chosen.filter((c) => !left.has(c.key))
    const clash = firstClash(standing, good)
    if (!clash) return { good, left: [...left.values()] }
    leave(clash.change, clash.why)
  }
}

/** Why a change does not fit what stands any more; undefined while it does. */
function staleness(
  byId: ReadonlyMap<string, PlanningVisit>,
  standing: readonly PlanningVisit[],
  change: PlanChange,
): Said | undefined {
  if (change.kind === 'new')
    return plannedMeanwhile(standing, change)
      ? said('schedule.leftOut.plannedMeanwhile', {
          visit: { text: `visitTypes.namesInText.${change.job as VisitTypeKey}` },
        })
      : undefined
  const visit = byId.get(change.visitId!)
  if (!visit) return said('schedule.leftOut.removed')
  if (visit.state !== 'planned') return said('schedule.leftOut.started')
  return visit.version === change.visitVersion ? undefined : said('schedule.leftOut.changed')
}

/** Whether someone else planned the job since the plan was made. */
function plannedMeanwhile(standing: readonly PlanningVisit[], change: PlanChange): boolean {
  // an agreed job once in its window; a visit made only for a task, not again on the same days
  const agreed = !change.key.includes(TASK_KEY)
  const [from, to] = agreed
    ? [change.window.earliest, change.window.latest]
    : [addDays(change.day, -1), addDays(change.day, 1)]
  const jobs = [change.job, ...change.also]
  return standing.some(
    (v) =>
      v.pondId === change.pondId &&
      ((v.day >= from && v.day <= to && [v.job, ...v.also].some((job) => jobs.includes(job))) ||
        (v.state !== 'done' && change.tasks.some((task) => v.taskIds.includes(task.id)))),
  )
}

/** The first change that would put a crew in two places, as the days would be with all of these. */
function firstClash(
  standing: readonly PlanningVisit[],
  good: readonly PlanChange[],
): { change: PlanChange; why: Said } | undefined {
  const moving = new Set(good.map((c) => c.visitId))
  const days = new Map<string, Slot[]>()
  const put = (crewId: string, day: string, slot: Slot) => {
    const there = days.get(`${crewId} ${day}`)
    if (there) there.push(slot)
    else days.set(`${crewId} ${day}`, [slot])
  }
  for (const v of standing)
    if (!moving.has(v.id) && holdsHours(v.state))
      put(v.crewId, v.day, { ...v, key: v.id, siteOf: v.siteName, change: null })
  for (const c of good)
    put(c.crewId, c.day, {
      key: c.key,
      siteOf: c.siteName,
      startTime: c.startTime,
      plannedMinutes: c.minutes,
      change: c,
    })
  for (const change of good) {
    const there = days.get(`${change.crewId} ${change.day}`)!.filter((s) => s.key !== change.key)
    const [clash] = overlapping({ startTime: change.startTime, minutes: change.minutes }, there)
    if (clash)
      return {
        change,
        why: said('schedule.leftOut.crewBusy', {
          site: clash.siteOf,
          from: clash.startTime,
          to: clockAfter(clash.startTime, clash.plannedMinutes),
        }),
      }
  }
  return undefined
}
