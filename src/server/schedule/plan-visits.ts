import type { Need } from '@/core/schedule/needs/pond-work'
import type { PlanVisit } from '@/core/schedule/plan/plan-input'
import { VISIT_PLANNING } from '@/core/visits/types'
import { MAX_DAYS_IN_TANKS } from '@/core/visits/types/cleanout-legs'
import { addDays, isoWeekday } from '@/core/numeric/calendar'
import { plainDayOfYear } from '@/core/season/season-year'
import { minutesOfDay } from '@/domain/people/crew-setup'
import { WEEKDAYS } from '@/domain/customers/customer'
import { inPeriod, type FirmPeriod } from '@/domain/firm/firm-period'
import type { PlanWish } from '@/domain/schedule/plan-run'
import { windowsIn } from '@/domain/season/season-dates'
import type { PlanningPond, PlanningVisit, PlanningWindow } from '@/server/schedule/planning-repository'

/** A published visit without a window of its own may move this far. */
const LOOSE_DAYS = 10
const WHOLE_DAY = [0, 24 * 60] as const
const FIRST_DAY_JOB = 'spring-cleanout'

/** Days of a plan, and what is special about some. */
export interface OpenDays {
  readonly days: readonly string[]
  readonly periods: readonly FirmPeriod[]
}

/** When work may begin at a site. */
const opening = (
  { opens, closes, closedDays, blackouts, schoolHolidays }: PlanningPond,
  jobs: readonly string[],
  { days, periods }: OpenDays,
) => ({
  opensMin: opens ? minutesOfDay(opens) : WHOLE_DAY[0],
  closesMin: closes ? minutesOfDay(closes) : WHOLE_DAY[1],
  closedDays:
    closedDays.length + blackouts.length + periods.length === 0
      ? []
      : days.filter(
          (day) =>
            closedDays.includes(WEEKDAYS[isoWeekday(day) - 1]!) ||
            blackouts.some((b) => day >= b.from && day <= b.to) ||
            (schoolHolidays !== 'any' && inPeriod(periods, 'school-holidays', day) === (schoolHolidays === 'never')) ||
            (inPeriod(periods, 'no-filling', day) && jobs.some((job) => VISIT_PLANNING[job]?.fills)),
        ),
})

/** What the truck takes away from some jobs at a pond, m³. */
const spoilOf = (jobs: readonly string[], areaM2: number): number =>
  jobs.reduce(
    (sum, job) =>
      sum + (VISIT_PLANNING[job] ? VISIT_PLANNING[job].spoil.baseM3 + VISIT_PLANNING[job].spoil.perM2M3 * areaM2 : 0),
    0,
  )

/** @param knownCrew who was at this pond last, and is sent again where that costs little */
export function neededVisit(
  need: Need,
  pond: PlanningPond,
  location: number,
  hands: Pick<PlanVisit, 'handsMin' | 'fixedMin' | 'spareMin' | 'tankM3' | 'tankUse'>,
  open: OpenDays,
  knownCrew: string | null,
): PlanVisit {
  const facts = VISIT_PLANNING[need.job]!
  const also = need.also.map((job) => VISIT_PLANNING[job])
  return {
    id: need.id,
    location,
    ...hands,
    earliest: need.earliest,
    best: need.best,
    latest: need.latest,
    likelihood: likelihoodOf(pond, need.job, need.earliest, need.latest),
    ...opening(pond, [need.job, ...need.also], open),
    skills: [...new Set([facts, ...also].flatMap((f) => f!.skills))],
    kit: [...new Set([facts, ...also].flatMap((f) => f!.kit))],
    load: spoilOf([need.job, ...need.also], pond.areaM2),
    value: (facts.value + also.reduce((sum, f) => sum + f!.value, 0) / 2) * (need.late ? 2 : 1),
    after: need.after.map(({ need: visit, ...days }) => ({ visit, ...days })),
    preferredCrew: knownCrew,
    published: null,
    locked: false,
  }
}

/** What is known of a visit that stands, beside itself. */
export interface StandingFacts {
  /** Its crew is there and its day is a working day. */
  readonly stands: boolean
  /** Its customer was told of the day. */
  readonly knows: boolean
  readonly daysAhead: number
  /** Its hour is laid out anew. */
  readonly hourIsFree: boolean
  /** The first day of the same cleanout, where it is its second. */
  readonly firstDay: { readonly visit: string; readonly begun: boolean } | null
  readonly hasSecondDay: boolean
}

export const AS_IT_STANDS: StandingFacts = {
  stands: true,
  knows: false,
  daysAhead: 0,
  hourIsFree: false,
  firstDay: null,
  hasSecondDay: false,
}

/**
 * A visit may be so much earlier or later, on the same day, without its customer hearing of it: told of an hour, or
 * not yet, minutes.
 * @source house default
 */
const SLACK_MIN = { notified: 25, notNotified: 120 } as const
/** A change costs so much more when its customer was told, and the nearer the day is. @source house default */
const NOTIFIED_WEIGHT = 2
const NEAR = { weight: 2, days: 14 } as const

const changeWeight = ({ knows, daysAhead }: StandingFacts): number =>
  (knows ? NOTIFIED_WEIGHT : 1) * (1 + NEAR.weight * Math.exp(-Math.max(0, daysAhead) / NEAR.days))

/** A visit that is planned already keeps its length, and may move within its job's window. */
// eslint-disable-next-line max-lines-per-function -- mostly the visit, figure by figure
export function publishedVisit(
  visit: PlanningVisit,
  pond: PlanningPond,
  location: number,
  wish: PlanWish,
  open: OpenDays,
  about = AS_IT_STANDS,
): PlanVisit {
  const { stands, firstDay, hasSecondDay } = about
  const facts = VISIT_PLANNING[visit.job]
  const year = Number(visit.day.slice(0, 4))
  // the second day of a cleanout follows its first through the window; a window may run over New Year
  const windowDay = firstDay ? addDays(visit.day, -1) : visit.day
  const usual = [year, year - 1, year + 1]
    .flatMap((y) => windowsIn(pond.windows, y))
    .find((w) => w.job === (firstDay ? FIRST_DAY_JOB : visit.job) && windowDay >= w.earliest && windowDay <= w.latest)
  const shift = (days: number) =>
    usual && {
      ...usual,
      earliest: addDays(usual.earliest, days),
      best: addDays(usual.best, days),
      latest: addDays(usual.latest, days),
    }
  const own = shift(wish.lateByDays + (firstDay ? 1 : 0))
  const locked = stands && (visit.locked || !wish.mayMove || firstDay?.begun === true)
  // what is promised keeps its hour too
  const start = minutesOfDay(visit.startTime)
  const hours = locked
    ? { opensMin: start, closesMin: start, closedDays: [] }
    : opening(pond, [visit.job, ...visit.also], open)
  // in a late season what hangs on a window goes along with it
  const near = usual ? addDays(visit.day, wish.lateByDays) : visit.day
  const loose: [string, string] = [addDays(near, -LOOSE_DAYS), addDays(near, LOOSE_DAYS)]
  // several jobs on one visit: it was placed where all of them fell due, and stays near there
  const shared = visit.also.length > 0
  // fish that are in their tanks go back on their day
  if (firstDay?.begun) loose.fill(visit.day)
  const inWindow = firstDay?.begun ? undefined : own
  const earliest = latestOf(inWindow?.earliest ?? loose[0], shared ? loose[0] : null)
  const ends = earliestOf(inWindow?.latest ?? loose[1], shared ? loose[1] : null)
  // what has to move may run a little over its window rather than fall out
  const latest = stands || ends > loose[1] ? ends : loose[1]
  const tankUse = () => {
    if (firstDay) return 'from-morning'
    if (hasSecondDay) return 'until-night'
    return 'while-there'
  }
  return {
    id: visit.id,
    location,
    handsMin: 0,
    fixedMin: visit.plannedMinutes,
    spareMin: visit.spareMin,
    earliest,
    best: shared || !own ? near : own.best,
    latest,
    likelihood: likelihoodOf(pond, visit.job, earliest, latest),
    ...hours,
    skills: facts?.skills ?? [],
    kit: facts?.kit ?? [],
    load: spoilOf([visit.job, ...visit.also], pond.areaM2),
    tankM3: visit.tankM3,
    tankUse: tankUse(),
    value: facts?.value ?? 1,
    after:
      firstDay && !firstDay.begun
        ? [{ visit: firstDay.visit, minDays: 1, maxDays: MAX_DAYS_IN_TANKS, requires: true, leg: true }]
        : [],
    preferredCrew: visit.crewId,
    published: { crew: visit.crewId, day: visit.day, startMin: start },
    locked,
    changeWeight: changeWeight(about),
    // in a late season whatever hangs on a window of the year is looked at anew
    free: !locked && wish.lateByDays > 0 && usual !== undefined,
    ...(about.hourIsFree ? {} : { slackMin: about.knows ? SLACK_MIN.notified : SLACK_MIN.notNotified }),
  }
}

/** Share of years that allow the job on each day, for jobs that hang on conditions of the day. */
function likelihoodOf(pond: PlanningPond, job: string, earliest: string, latest: string): Record<string, number> {
  const found: Record<string, number> = {}
  let window: PlanningWindow | undefined
  let year = 0
  for (let day = earliest; day <= latest; day = addDays(day, 1)) {
    if (Number(day.slice(0, 4)) !== year) {
      year = Number(day.slice(0, 4))
      window = windowsIn(pond.windows, year).find((w) => w.job === job && w.kind === 'span')
    }
    if (window) found[day] = window.likelihood[plainDayOfYear(day) - 1] ?? 1
  }
  return found
}

const latestOf = (day: string, other: string | null): string => (other !== null && other > day ? other : day)
const earliestOf = (day: string, other: string | null): string => (other !== null && other < day ? other : day)
