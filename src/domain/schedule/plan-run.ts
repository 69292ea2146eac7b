import { z } from 'zod'
import type { BlockedBy, Relaxation } from '../../core/schedule/plan/explain'
import type { MoveProblem } from '../../core/schedule/plan/judge-move'
import { daysBetween } from '../../core/numeric/calendar'
import { calendarDay } from '../shared/fields'
import { clockTime, type VisitEstimate, type VisitTask } from '../visits/visit'
import { PlanRunId, type CrewId, type PondId, type VisitId } from '../shared/ids'
import { said } from '../shared/said'
import type { Said } from '../shared/said'

/** queued → running → done | stopped | failed; a run whose worker died is queued again. */
type PlanRunState = 'queued' | 'running' | 'done' | 'stopped' | 'failed'

/** What a plan is asked for: days, and what-ifs that change nothing by themselves. */
export const PlanWish = z
  .strictObject({
    from: calendarDay,
    to: calendarDay,
    /** Windows later by so many days, as in a late spring. */
    lateByDays: z.int().min(0).max(60).default(0),
    crewsAway: z.array(z.uuid()).max(60).default([]),
    /** As many customers more, each like one there is; such a plan is looked at, never taken over. */
    newCustomers: z.int().min(0).max(200).default(0),
    /** Crews that are away on some days: sick, at a course. */
    absent: z
      .array(z.strictObject({ crewId: z.uuid(), from: calendarDay, to: calendarDay }))
      .max(60)
      .default([]),
    /** Crews whose truck stands broken: they work without kit. */
    withoutKit: z.array(z.uuid()).max(60).default([]),
    /** Days on which nobody works outside: rain, storm, lightning. */
    lostDays: z.array(calendarDay).max(60).default([]),
    /** What the plan was asked for, in the asker's words. */
    reason: z.string().trim().max(120).default(''),
    /** On the plan's first day, if that is today: nothing is planned before. Empty: now. */
    fromTime: clockTime.nullable().default(null),
    /** Visits to move only if it is worth much; 0 leaves every published visit where it is. */
    mayMove: z.boolean().default(true),
  })
  .refine(({ from, to }) => from <= to, { error: said('schedule.problems.planEndsBeforeBegins'), path: ['to'] })
  .refine(({ from, to }) => daysBetween(from, to) <= 366, {
    error: said('schedule.problems.planMostYearOnce'),
    path: ['to'],
  })
export type PlanWish = z.infer<typeof PlanWish>

/** Ends the id of the day after a cleanout that takes two, while it is still to be planned. */
export const SECOND_DAY_SUFFIX = ':second-day'

/** A visit that the plan adds, moves, or gives something to take along. */
export interface PlanChange {
  readonly key: string
  /** shifted: another hour of the same day that nobody has to be told of. */
  readonly kind: 'new' | 'moved' | 'joined' | 'shifted'
  /** The other day of the same cleanout: the two are taken over together. */
  readonly pair: string | null
  readonly visitId: VisitId | null
  readonly visitVersion: number | null
  readonly pondId: PondId
  readonly pondName: string
  readonly siteName: string
  /** In a what-if: not this site, but another like it. */
  readonly newCustomer?: boolean
  readonly town: string
  readonly job: string
  /** Other jobs of the same visit, and tasks taken along. */
  readonly also: readonly string[]
  readonly tasks: readonly VisitTask[]
  readonly crewId: CrewId
  readonly day: string
  readonly startTime: string
  readonly minutes: number
  /** Logged visits have taught to reckon so many times the plain estimate of handwork. */
  readonly learntFactor: number
  /** Of a new visit; missing in a run from before it was kept. */
  readonly estimate?: VisitEstimate
  readonly window: { readonly earliest: string; readonly best: string; readonly latest: string }
  readonly late: boolean
  readonly was: { readonly crewId: CrewId; readonly day: string; readonly startTime: string } | null
  /** Of a moved visit: what staying would break, and what it would cost, minutes of travel. */
  readonly why: { readonly breaks: readonly MoveProblem[]; readonly costMin: number } | null
  /** Of a moved visit: who was told of another day or hour. */
  readonly tell: { readonly customer: string; readonly byEmail: boolean; readonly phone: string } | null
}

/** A chosen change that could not be taken over, and why. */
export interface LeftChange {
  readonly key: string
  readonly siteName: string
  readonly job: string
  readonly why: Said
}

export interface AcceptOutcome {
  readonly taken: number
  readonly left: readonly LeftChange[]
}

export interface PlanLeftOver {
  readonly pondId: PondId
  readonly pondName: string
  readonly siteName: string
  readonly job: string
  readonly window: { readonly earliest: string; readonly best: string; readonly latest: string }
  readonly reasons: readonly BlockedBy[]
  readonly relaxations: readonly Relaxation[]
}

/** Agreed, and due only after the days of the plan. */
export interface WaitingNeed {
  readonly pondName: string
  readonly siteName: string
  readonly job: string
  readonly earliest: string
  readonly latest: string
}

/** Hours needed against hours there, by week. */
export interface CrunchWeek {
  readonly monday: string
  readonly plannedMin: number
  readonly wantedMin: number
  readonly crewMin: number
}

export interface PlanResult {
  readonly changes: readonly PlanChange[]
  readonly kept: number
  readonly unplaced: readonly PlanLeftOver[]
  readonly missed: readonly {
    readonly pondName: string
    readonly siteName: string
    readonly job: string
    readonly latest: string
  }[]
  /** Agreed, but its window does not come at this pond. */
  readonly noWindow: readonly { readonly pondName: string; readonly siteName: string; readonly job: string }[]
  readonly waiting: readonly WaitingNeed[]
  readonly crunch: readonly CrunchWeek[]
  readonly travelMin: number
  readonly feasible: boolean
  /** Visits on weekends: they stay where somebody put them. */
  readonly besides?: number
  /** Days that stand as somebody laid them out, against the crew's hours or the truck. */
  readonly overlong?: readonly { readonly crewId: CrewId; readonly day: string }[]
  readonly roads: 'roads' | 'straight-line'
  readonly notOnMap: readonly string[]
}

export interface PlanRun {
  readonly id: PlanRunId
  readonly state: PlanRunState
  readonly wish: PlanWish
  readonly share: number
  readonly result: PlanResult | null
  readonly problem: string
  readonly askedAt: string
  readonly finishedAt: string | null
}

export const AcceptPlanInput = z.strictObject({
  keys: z
    .array(z.string().max(200))
    .min(1, { error: said('schedule.problems.chooseLeastOneVisit') })
    .max(20_000),
})
