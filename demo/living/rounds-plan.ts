import { addDays, daysBetween, isoWeekday, type IsoDate } from '../../src/core/numeric/calendar'
import { WEEKDAYS } from '../../src/domain/customers/customer'
import type { ServiceLine } from '../../src/domain/schedule/service-plan'

/** What a round needs to know of a pond. */
export interface RoundPond {
  readonly id: string
  readonly town: string
  readonly lat: number
  readonly lon: number
  /** When its customer lets anyone in: times of the day, empty for any; and weekdays on which nobody is. */
  readonly opens: string
  readonly closes: string
  readonly closedDays: readonly string[]
  readonly agreed: readonly ServiceLine[]
  /** When its water, its trees and its ice ask for each kind of work, in any year. */
  readonly windows: readonly {
    readonly job: string
    readonly earliest: string
    readonly best: string
    readonly latest: string
  }[]
  /** How long a crew takes; null where it is more than a day. */
  readonly minutesOf: (visitType: string) => number | null
}

export interface RoundVisit {
  readonly pondId: string
  readonly visitType: string
  readonly day: IsoDate
  readonly crew: string
  readonly startTime: string
  readonly minutes: number
}

/** Rounds stand for so many days ahead. */
export const DAYS_AHEAD = 28
/** Every round of so many days before today was driven. */
export const DAYS_BACK = 14
/** The last work before those days, however long ago, back to here: no pond was never looked at. */
const LAST_WORK_DAYS = 300
const DAY_BEGINS_MIN = 8 * 60
const DAY_ENDS_MIN = 16 * 60 + 30
/** Work is moved so far from its best day to join a round that goes there anyway. */
const MOVED_DAYS = 9
/** Beginning a round of its own is worth a move by so many days. */
const OWN_ROUND_DAYS = 3
/** Who looks at a firm for a day wants to see it at work: that day's rounds take what is near it. */
const TODAY_PULLS = 0.5
/** More gates than this nobody opens in a day. */
const MAX_STOPS = 6
const EPOCH = '2000-01-01'
const KM_PER_DEGREE = 111
const KM_PER_H = 40
const PARKING_MIN = 6
const STEP_MIN = 5

/** One piece of agreed work about its best day. */
interface Need {
  readonly pond: RoundPond
  readonly visitType: string
  readonly target: IsoDate
  readonly earliest: IsoDate
  readonly latest: IsoDate
  readonly minutes: number
}

interface CrewDay {
  readonly crew: string
  readonly day: IsoDate
  town: string | null
  last: RoundPond | null
  stops: number
  endsAtMin: number
}

/**
 * Rounds as a firm had them in the last weeks, has them today and has made them for the next: what each customer has
 * agreed to, on the days its pond asks for it, neighbours on the same round, no more than a crew's day holds. What
 * finds no place waits.
 * @param taken crews' days on which other work stands already
 * @returns visits in the order of day, crew and time
 */
export function planRounds(
  ponds: readonly RoundPond[],
  crews: readonly string[],
  today: IsoDate,
  taken: readonly { readonly crew: string; readonly day: IsoDate }[] = [],
): RoundVisit[] {
  const days = new Map<string, CrewDay>()
  const isTaken = new Set(taken.map(({ crew, day }) => `${crew} ${day}`))
  const crewDay = (crew: string, day: IsoDate): CrewDay => {
    const key = `${crew} ${day}`
    const known = days.get(key) ?? {
      crew,
      day,
      town: null,
      last: null,
      stops: 0,
      endsAtMin: isTaken.has(key) ? DAY_ENDS_MIN : DAY_BEGINS_MIN,
    }
    days.set(key, known)
    return known
  }
  const visits = needsAbout(ponds, today).flatMap((need) => {
    const place = bestPlace(need, crews, today, crewDay)
    if (!place) return []
    const startMin = startAfter(place, need.pond)
    Object.assign(place, {
      town: need.pond.town,
      last: need.pond,
      stops: place.stops + 1,
      endsAtMin: startMin + need.minutes,
    })
    return [
      {
        pondId: need.pond.id,
        visitType: need.visitType,
        day: place.day,
        crew: place.crew,
        startTime: clock(startMin),
        minutes: need.minutes,
      },
    ]
  })
  return visits.sort((a, b) => order(a).localeCompare(order(b)))
}

const order = ({ day, crew, startTime }: RoundVisit) => `${day} ${crew} ${startTime}`

/** The crew's day nearest to the best one, where a round that goes to the town anyway is worth some days. */
function bestPlace(
  need: Need,
  crews: readonly string[],
  today: IsoDate,
  crewDay: (crew: string, day: IsoDate) => CrewDay,
): CrewDay | null {
  const first = Math.max(-MOVED_DAYS, daysBetween(need.target, need.earliest))
  const last = Math.min(MOVED_DAYS, daysBetween(need.target, need.latest))
  // every day another crew is the first that is asked, so that none is left at home
  const turn = (index: number, day: IsoDate) => (index + daysBetween(EPOCH, day)) % crews.length
  let best: { place: CrewDay; cost: number } | null = null
  for (let off = first; off <= last; off++) {
    const day = addDays(need.target, off)
    if (isoWeekday(day) > 5 || day > addDays(today, DAYS_AHEAD)) continue
    if (need.pond.closedDays.includes(WEEKDAYS[isoWeekday(day) - 1]!)) continue
    for (const [index, crew] of crews.entries()) {
      const place = crewDay(crew, day)
      if (place.stops >= MAX_STOPS || (place.town !== null && place.town !== need.pond.town)) continue
      if (startAfter(place, need.pond) + need.minutes > closesMin(need.pond)) continue
      const ownRound = place.town === null && day !== today ? OWN_ROUND_DAYS : 0
      const cost = Math.abs(off) * (day === today ? TODAY_PULLS : 1) + ownRound + turn(index, day) / 100
      if (!best || cost < best.cost) best = { place, cost }
    }
  }
  return best?.place ?? null
}

/** When a crew can begin at a pond after what its day holds already, minutes of the day. */
function startAfter({ last, endsAtMin }: CrewDay, pond: RoundPond): number {
  const there = last ? Math.ceil((endsAtMin + drive(last, pond)) / STEP_MIN) * STEP_MIN : endsAtMin
  return pond.opens === '' ? there : Math.max(there, minuteOf(pond.opens))
}

const closesMin = ({ closes }: RoundPond): number =>
  closes === '' ? DAY_ENDS_MIN : Math.min(DAY_ENDS_MIN, minuteOf(closes))

const minuteOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5))

/** Minutes on the road and to park. */
function drive(from: RoundPond, to: RoundPond): number {
  const east = (to.lon - from.lon) * Math.cos((from.lat * Math.PI) / 180)
  return PARKING_MIN + (Math.hypot(to.lat - from.lat, east) * KM_PER_DEGREE * 60) / KM_PER_H
}

const clock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`

/** All work of the weeks about today, and the last of each pond before them; in the order of its best days. */
function needsAbout(ponds: readonly RoundPond[], today: IsoDate): Need[] {
  const [from, to] = [addDays(today, -DAYS_BACK), addDays(today, DAYS_AHEAD)]
  return ponds
    .flatMap((pond, index) => {
      const all = needsOf(pond, index, today).sort((a, b) => a.target.localeCompare(b.target))
      const before = all.filter(({ target }) => target < from)
      const stillOpen = before.filter(({ latest, visitType }) => latest >= from && isWindow(pond, visitType))
      const kept = new Set([...before.slice(-1), ...stillOpen])
      return all.filter((need) => kept.has(need) || (need.target >= from && need.target <= to))
    })
    .sort((a, b) => a.target.localeCompare(b.target))
}

const isWindow = (pond: RoundPond, visitType: string) => pond.windows.some(({ job }) => job === visitType)

function needsOf(pond: RoundPond, index: number, today: IsoDate): Need[] {
  const [from, to] = [addDays(today, -LAST_WORK_DAYS), addDays(today, DAYS_AHEAD)]
  const years = [Number(from.slice(0, 4)), Number(to.slice(0, 4))]
  return pond.agreed.flatMap((line) => {
    const minutes = pond.minutesOf(line.job)
    if (minutes === null) return []
    return [...new Set(years)]
      .flatMap((year) => targetsOf(pond, line, year, index))
      .filter(({ target }) => target >= from && target <= to)
      .map((when) => ({ pond, visitType: line.job, minutes, ...when }))
  })
}

type When = Pick<Need, 'target' | 'earliest' | 'latest'>

/** The best days of a year for one line of what was agreed; ponds of a town do not all have the same. */
function targetsOf(pond: RoundPond, line: ServiceLine, year: number, index: number): When[] {
  const inYear = (day: string): IsoDate => `${year}-${day.slice(-5) === '02-29' ? '02-28' : day.slice(-5)}`
  if (line.everyDays === null) {
    const window = pond.windows.find(({ job }) => job === line.job)
    if (!window) return []
    const [earliest, latest] = [inYear(window.earliest), inYear(window.latest)]
    const target = addDays(inYear(window.best), ((index * 13) % 25) - 12)
    return [{ earliest, latest, target: [earliest, target, latest].sort()[1]! }]
  }
  const [first, end] = [inYear(line.from ?? '01-01'), inYear(line.to ?? '12-31')]
  const targets: When[] = []
  for (let day = addDays(first, (index * 5) % line.everyDays); day <= end; day = addDays(day, line.everyDays))
    targets.push({ target: day, earliest: addDays(day, -MOVED_DAYS), latest: addDays(day, MOVED_DAYS) })
  return targets
}
