import { addDays, type IsoDate } from '../../numeric/calendar'
import { earlier, later, TASK_KEY, type Need, type PondNeeds, type PondTask, type PondWork } from './pond-work'

/** A task that is overdue gets this many days more. */
const OVERDUE_DAYS = 3

/**
 * Each task goes along with a visit that stands in time, or one that is still to be planned and can be made in time,
 * of a kind that suits it best; else it is a visit of its own.
 */
export function takeAlong(
  needs: readonly Need[],
  work: PondWork,
  from: IsoDate,
  to: IsoDate,
): { needs: Need[]; joins: PondNeeds['joins'][number][] } {
  const found = [...needs]
  const joins: PondNeeds['joins'][number][] = []
  for (const task of work.tasks) {
    if (task.from > to) continue
    if (task.urgent) {
      found.push({ ...ownVisit(work, task, from, from, from), urgent: true })
      continue
    }
    const [earliest, latest] = [later(task.from, from), later(task.to, addDays(from, OVERDUE_DAYS))]
    const stands = work.planned.filter((v) => v.day >= earliest && v.day <= latest)
    const visit = preferred(stands, task)
    const host = preferred(
      found.filter((need) => need.earliest <= latest && need.latest >= earliest),
      task,
    )
    // a visit of a kind that suits it better is worth waiting for; otherwise what stands is taken
    if (visit && !(host && rank(host, task) < rank(visit, task))) joins.push({ visit: visit.id, task })
    else if (host) {
      const [first, last] = [later(host.earliest, earliest), earlier(host.latest, latest)]
      found[found.indexOf(host)] = {
        ...host,
        earliest: first,
        best: earlier(later(host.best, first), last),
        latest: last,
        tasks: [...host.tasks, task],
      }
    } else found.push(ownVisit(work, task, from, earliest, earlier(latest, later(to, earliest))))
  }
  return { needs: found, joins }
}

/** A visit for one task alone. */
const ownVisit = ({ pondId }: PondWork, task: PondTask, from: IsoDate, earliest: IsoDate, latest: IsoDate): Need => ({
  id: `${pondId}${TASK_KEY}${task.id}`,
  pondId,
  job: 'routine',
  earliest,
  best: earliest,
  latest,
  late: task.to < from,
  also: [],
  tasks: [task],
  after: [],
})

/** Place of a visit's kind among those a task prefers; kinds it does not name come last, all alike. */
function rank({ job }: { readonly job: string }, task: PondTask): number {
  const at = task.prefers.indexOf(job)
  return at < 0 ? task.prefers.length : at
}

const preferred = <Host extends { readonly job: string }>(hosts: readonly Host[], task: PondTask): Host | undefined =>
  hosts.reduce<Host | undefined>(
    (best, host) => (best === undefined || rank(host, task) < rank(best, task) ? host : best),
    undefined,
  )
