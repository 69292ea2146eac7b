import { VISIT_PLANNING } from '../../visits/types'
import { addDays, daysBetween, weekOf, yearOf, type IsoDate } from '../../numeric/calendar'
import { careGapDays } from '../../plants/care-cadence'
import { earlier, later, type Need, type PondWork, type ServiceLine } from './pond-work'

/** A repeat may lie this share of its interval off its due day; two repeats no closer than this share. */
const REPEAT_SLACK = 0.3
const REPEAT_MIN = 0.5

/**
 * Dues from the last visit of the kind on, each with some slack, no two too close, and within the job's window where
 * it has one.
 */
export function repeats(work: PondWork, line: ServiceLine, from: IsoDate, to: IsoDate): Need[] {
  const visits = work.visits
    .filter((v) => v.job === line.job || VISIT_PLANNING[v.job]?.covers.includes(line.job))
    .map((v) => v.day)
  const found: Need[] = []
  const [first, last] = [line.from ?? '01-01', line.to ?? '12-31']
  // a summer may run over New Year
  const over = last < first ? 1 : 0
  for (let year = yearOf(from) - over; year <= yearOf(to); year++) {
    const [start, end] = [`${year}-${first}`, `${year + over}-${last}`]
    const before = visits
      .filter((day) => day < from)
      .sort()
      .at(-1)
    let due = before ? later(addDays(before, gapFrom(work, line, before)), start) : start
    if (due < from) due = from
    for (; due <= earlier(end, to); due = addDays(due, gapFrom(work, line, due))) {
      const every = gapFrom(work, line, due)
      const slack = Math.max(1, Math.floor(every * REPEAT_SLACK))
      if (visits.some((day) => day >= from && Math.abs(daysBetween(day, due)) <= Math.floor(every * REPEAT_MIN)))
        continue
      const days = withinWindow(work, line.job, {
        earliest: later(addDays(due, -slack), later(from, start)),
        best: due,
        latest: earlier(addDays(due, slack), to),
      })
      if (!days) continue
      const previous = found.at(-1)
      found.push({
        id: `${work.pondId}:${line.job}:${due}`,
        pondId: work.pondId,
        job: line.job,
        ...days,
        late: false,
        also: [],
        tasks: [],
        after: previous
          ? [
              {
                need: previous.id,
                minDays: Math.max(1, Math.ceil(every * REPEAT_MIN)),
                maxDays: 400,
                requires: false,
              },
            ]
          : [],
      })
    }
  }
  return found
}

/** Days until the next one: as agreed, or as the plants grow at that time of the year. */
const gapFrom = (work: PondWork, line: ServiceLine, day: IsoDate): number =>
  line.everyDays ?? careGapDays(work.weeklyWaterC, weekOf(day), work.aggressivePlants)

interface Range {
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
}

/** A flush falls into the weeks that allow one, whichever year they belong to; nothing when there is none near. */
function withinWindow(work: PondWork, job: string, due: Range): Range | null {
  const year = yearOf(due.best)
  const windows = [year, year - 1, year + 1].flatMap((y) => work.windowsIn(y)).filter((w) => w.job === job)
  if (windows.length === 0) return due
  const window = windows.find((w) => w.earliest <= due.latest && w.latest >= due.earliest)
  if (!window) return null
  const [earliest, latest] = [later(due.earliest, window.earliest), earlier(due.latest, window.latest)]
  return { earliest, latest, best: earlier(later(due.best, earliest), latest) }
}
