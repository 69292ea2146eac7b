import { VISIT_PLANNING } from '../../visits/types'
import { addDays, yearOf, type IsoDate } from '../../numeric/calendar'
import { mergeNeeds } from './merge'
import { earlier, later, type Need, type PondNeeds, type PondWork, type ServiceLine } from './pond-work'
import { repeats } from './repeats'
import { takeAlong } from './tasks'

/** A visit this close to a window belongs to it. */
const NEAR_WINDOW_DAYS = 60
/** How long after its window a job is still caught up on, and how much time that gets. */
const CATCH_UP_DAYS = 30
const LATE_WINDOW_DAYS = 14

/**
 * What one pond needs between two days, without duplicates: agreed jobs less what is done or planned, repeats from
 * the last one on,
 * jobs that fit into one visit together, and tasks on the way of a visit where they can be.
 */
export function needsOf(work: PondWork, from: IsoDate, to: IsoDate): PondNeeds {
  const found: {
    needs: Need[]
    covered: { job: string; by: string }[]
    missed: { job: string; latest: IsoDate }[]
    noWindow: { job: string }[]
  } = {
    needs: [],
    covered: [],
    missed: [],
    noWindow: [],
  }
  const comes = (job: string) => yearsBetween(from, to).some((year) => work.windowsIn(year).some((w) => w.job === job))
  for (const line of work.lines) {
    const [first, last] = [later(from, line.starts ?? from), earlier(to, line.ends ?? to)]
    if (first > last) continue
    // a cleanout that cannot come here does not do the startup either
    const by = work.lines.find((other) => VISIT_PLANNING[other.job]!.covers.includes(line.job) && comes(other.job))
    if (by) found.covered.push({ job: line.job, by: by.job })
    else if (VISIT_PLANNING[line.job]!.timing === 'interval') found.needs.push(...repeats(work, line, first, last))
    else if (comes(line.job)) windowNeeds(work, line, first, last, found)
    else found.noWindow.push({ job: line.job })
  }
  const { needs, joins } = takeAlong(mergeNeeds(found.needs), work, from, to)
  return {
    ...found,
    joins,
    needs: needs.map((need) => ({ ...need, after: [...need.after, ...precedence(need, needs)] })),
  }
}

const yearsBetween = (from: IsoDate, to: IsoDate): number[] =>
  Array.from({ length: yearOf(to) - yearOf(from) + 1 }, (_, i) => yearOf(from) + i)

function windowNeeds(
  work: PondWork,
  line: ServiceLine,
  from: IsoDate,
  to: IsoDate,
  found: { needs: Need[]; missed: { job: string; latest: IsoDate }[] },
): void {
  for (const year of yearsBetween(from, to)) {
    const window = work.windowsIn(year).find((w) => w.job === line.job)
    if (!window) continue
    const { earliest, best, latest } = window
    const near = (day: IsoDate) =>
      day >= addDays(earliest, -NEAR_WINDOW_DAYS) && day <= addDays(latest, NEAR_WINDOW_DAYS)
    if (earliest > to || work.visits.some((v) => v.job === line.job && near(v.day))) continue
    const base = {
      id: `${work.pondId}:${line.job}:${year}`,
      pondId: work.pondId,
      job: line.job,
      also: [],
      tasks: [],
      after: [],
    }
    if (latest >= from)
      found.needs.push({
        ...base,
        earliest: later(earliest, from),
        best: earlier(later(best, from), to),
        latest: earlier(latest, to),
        late: false,
      })
    else if (addDays(latest, CATCH_UP_DAYS) >= from)
      found.needs.push({
        ...base,
        earliest: from,
        best: from,
        latest: earlier(addDays(from, LATE_WINDOW_DAYS), to),
        late: true,
      })
    else if (latest >= work.since) found.missed.push({ job: line.job, latest })
  }
}

/** Jobs that come first in the same season, where they are needed too. */
function precedence(need: Need, needs: readonly Need[]): Need['after'][number][] {
  return VISIT_PLANNING[need.job]!.after.flatMap(({ job, minDays, maxDays }) => {
    const first = needs.filter((other) => other.job === job && other.earliest <= need.latest).at(-1)
    return first ? [{ need: first.id, minDays, maxDays, requires: false }] : []
  })
}
