import { JOB_PLANNING } from '../jobs/planning-facts'
import { addDays, daysBetween, type IsoDate } from '../numeric/calendar'

/** What a customer has agreed to for one pond: a job in its window, or every so many days between two dates of the year. */
export interface ServiceLine {
  readonly job: string
  /** For jobs that come round. */
  readonly everyDays: number | null
  /** Month and day, such as 04-15; null: all year. */
  readonly from: string | null
  readonly to: string | null
}

export interface PondWork {
  readonly pondId: string
  readonly lines: readonly ServiceLine[]
  /** Nothing was agreed before this day. */
  readonly since: IsoDate
  /** Windows of the pond's year, dated in any one year. */
  readonly windows: readonly { readonly job: string; readonly earliest: IsoDate; readonly best: IsoDate; readonly latest: IsoDate }[]
  /** Done and planned visits of the last and coming year. */
  readonly visits: readonly { readonly job: string; readonly day: IsoDate }[]
  /** Tests and tasks that a visit left behind. */
  readonly followUps: readonly { readonly id: string; readonly title: string; readonly from: IsoDate; readonly to: IsoDate }[]
}

export interface Need {
  readonly id: string
  readonly pondId: string
  readonly job: string
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
  /** Its window is over; it is planned as soon as can be. */
  readonly late: boolean
  /** What else is done on the same visit. */
  readonly with: readonly string[]
  readonly after: readonly { readonly need: string; readonly minDays: number; readonly maxDays: number; readonly requires: boolean }[]
}

export interface PondNeeds {
  readonly needs: readonly Need[]
  /** Agreed jobs of this season that another visit does along with its own. */
  readonly covered: readonly { readonly job: string; readonly by: string }[]
  /** Agreed jobs whose window went by more than a month ago, with no visit. */
  readonly missed: readonly { readonly job: string; readonly latest: IsoDate }[]
}

/** A visit this close to a window belongs to it. */
const NEAR_WINDOW_DAYS = 60
/** How long after its window a job is still caught up on, and how much time that gets. */
const CATCH_UP_DAYS = 30
const LATE_WINDOW_DAYS = 14
/** A repeat may lie this share of its interval off its due day; two repeats no closer than this share. */
const REPEAT_SLACK = 0.3
const REPEAT_LEAST = 0.5

const inYear = (date: IsoDate, year: number): IsoDate => `${year}${date.slice(4)}`
const planningOf = (job: string) => JOB_PLANNING[job]

/**
 * What one pond needs between two days, without duplicates: agreed jobs less what is done or planned, repeats from the last one on,
 * follow-ups on the way of another visit where they can be.
 */
export function needsOf(work: PondWork, from: IsoDate, to: IsoDate): PondNeeds {
  const needs: Need[] = []
  const covered: { job: string; by: string }[] = []
  const missed: { job: string; latest: IsoDate }[] = []
  for (const line of work.lines) {
    const by = work.lines.find((other) => planningOf(other.job).covers.includes(line.job))
    if (by) covered.push({ job: line.job, by: by.job })
    else if (planningOf(line.job).timing === 'window') windowNeeds(work, line, from, to, needs, missed)
    else needs.push(...repeats(work, line, from, to))
  }
  for (const followUp of work.followUps) attach(needs, work.pondId, followUp, from, to)
  return { needs: needs.map((need) => ({ ...need, after: [...need.after, ...precedence(need, needs)] })), covered, missed }
}

function windowNeeds(work: PondWork, line: ServiceLine, from: IsoDate, to: IsoDate, needs: Need[], missed: PondNeeds['missed'][number][]): void {
  const window = work.windows.find((w) => w.job === line.job)
  if (!window) return
  for (let year = Number(from.slice(0, 4)); year <= Number(to.slice(0, 4)); year++) {
    // a late window may end after New Year
    const earliest = inYear(window.earliest, year)
    const [best, latest] = [window.best, window.latest].map((day) => addDays(earliest, daysBetween(window.earliest, day)))
    const near = (day: IsoDate) => day >= addDays(earliest, -NEAR_WINDOW_DAYS) && day <= addDays(latest, NEAR_WINDOW_DAYS)
    if (earliest > to || work.visits.some((v) => v.job === line.job && near(v.day))) continue
    const base = { id: `${work.pondId}:${line.job}:${year}`, pondId: work.pondId, job: line.job, with: [], after: [] }
    if (latest >= from) needs.push({ ...base, earliest: later(earliest, from), best: earlier(later(best, from), to), latest: earlier(latest, to), late: false })
    else if (addDays(latest, CATCH_UP_DAYS) >= from)
      needs.push({ ...base, earliest: from, best: from, latest: earlier(addDays(from, LATE_WINDOW_DAYS), to), late: true })
    else if (latest >= work.since) missed.push({ job: line.job, latest })
  }
}

/** Dues from the last visit of the kind on, each with some slack, no two too close. */
function repeats(work: PondWork, line: ServiceLine, from: IsoDate, to: IsoDate): Need[] {
  const every = line.everyDays!
  const slack = Math.max(1, Math.floor(every * REPEAT_SLACK))
  const found: Need[] = []
  for (let year = Number(from.slice(0, 4)); year <= Number(to.slice(0, 4)); year++) {
    const start = inYear(`2000-${line.from ?? '01-01'}`, year)
    const end = inYear(`2000-${line.to ?? '12-31'}`, year)
    const visits = work.visits.filter((v) => v.job === line.job || planningOf(v.job)?.covers.includes(line.job)).map((v) => v.day)
    const before = visits
      .filter((day) => day < from)
      .sort()
      .at(-1)
    let due = before ? later(addDays(before, every), start) : start
    if (due < from) due = from
    for (; due <= earlier(end, to); due = addDays(due, every)) {
      const met = visits.some((day) => day >= from && Math.abs(daysBetween(day, due)) <= Math.floor(every * REPEAT_LEAST))
      if (met) continue
      const id = `${work.pondId}:${line.job}:${due}`
      const previous = found.at(-1)
      found.push({
        id,
        pondId: work.pondId,
        job: line.job,
        earliest: later(addDays(due, -slack), later(from, start)),
        best: due,
        latest: earlier(addDays(due, slack), to),
        late: false,
        with: [],
        after: previous ? [{ need: previous.id, minDays: Math.max(1, Math.ceil(every * REPEAT_LEAST)), maxDays: 400, requires: false }] : [],
      })
    }
  }
  return found
}

/** A follow-up goes along with a visit that can be made in time; else it is a visit of its own. */
function attach(needs: Need[], pondId: string, followUp: PondWork['followUps'][number], from: IsoDate, to: IsoDate): void {
  if (followUp.from > to) return
  const [earliest, latest] = [later(followUp.from, from), later(followUp.to, addDays(from, 3))]
  const at = needs.findIndex((need) => planningOf(need.job).timing === 'interval' && need.earliest <= latest && need.latest >= earliest)
  if (at >= 0) {
    const host = needs[at]
    const [first, last] = [later(host.earliest, earliest), earlier(host.latest, latest)]
    needs[at] = { ...host, earliest: first, best: earlier(later(host.best, first), last), latest: last, with: [...host.with, followUp.title] }
    return
  }
  needs.push({
    id: `${pondId}:follow-up:${followUp.id}`,
    pondId,
    job: 'routine',
    earliest,
    best: earliest,
    latest: earlier(latest, later(to, earliest)),
    late: followUp.to < from,
    with: [followUp.title],
    after: [],
  })
}

/** Jobs that come first in the same season, where they are needed too. */
function precedence(need: Need, needs: readonly Need[]): Need['after'][number][] {
  return planningOf(need.job).after.flatMap(({ job, minDays, maxDays }) => {
    const first = needs.filter((other) => other.job === job && other.earliest <= need.latest).at(-1)
    return first ? [{ need: first.id, minDays, maxDays, requires: false }] : []
  })
}

const later = (a: IsoDate, b: IsoDate): IsoDate => (a > b ? a : b)
const earlier = (a: IsoDate, b: IsoDate): IsoDate => (a < b ? a : b)
