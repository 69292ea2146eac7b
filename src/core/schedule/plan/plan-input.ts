import type { IsoDate } from '../../numeric/calendar'
import type { TankUse } from '../../routing/problem'

export interface PlanCrew {
  readonly id: string
  readonly size: number
  /** How much longer it takes over handwork than crews do on average; 1 where left out. */
  readonly pace?: number
  readonly skills: readonly string[]
  readonly kit: readonly string[]
  /** Location that its day begins and ends at. */
  readonly depot: number
  /** Minutes of the day; the break is taken off the end. */
  readonly startMin: number
  readonly endMin: number
  readonly breakMin: number
  /** Minutes that it may be out longer, at the price of overtime. */
  readonly overtimeMin: number
  /** What its truck can carry away a day, m³ or whatever else the visits' loads are counted in. */
  readonly capacity: number
  /** Fish can be held in so much water at one time, m³. */
  readonly tankM3: number
  /** Outdoor work only while there is light. */
  readonly daylightOnly: boolean
  readonly daysOff: readonly IsoDate[]
}

interface PlanAfter {
  readonly visit: string
  readonly minDays: number
  readonly maxDays: number
  /** Makes no sense unless the other one is planned. */
  readonly requires: boolean
  /** The second leg of one piece of work: the same crew, and both are planned or neither. */
  readonly leg?: boolean
}

export interface Placement {
  readonly crew: string
  readonly day: IsoDate
  readonly startMin: number
}

/** One stop at one site for one or more jobs. */
export interface PlanVisit {
  readonly id: string
  readonly location: number
  /** Minutes of handwork for one person, shared by the crew. */
  readonly handsMin: number
  /** Minutes that take their time whoever is there: pumping, filling, waiting. */
  readonly fixedMin: number
  /** Minutes kept free after it, where the day has them: its length is not known to the minute. */
  readonly spareMin?: number
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
  /** Share of years in which conditions hold, by day; days that are not named count as certain. */
  readonly likelihood: Readonly<Record<IsoDate, number>>
  /** Work may begin from here and until there, minutes of the day. */
  readonly opensMin: number
  readonly closesMin: number
  readonly closedDays: readonly IsoDate[]
  readonly skills: readonly string[]
  readonly kit: readonly string[]
  readonly load: number
  /** Holding tanks that its fish need, m³; 0 where none are needed. */
  readonly tankM3: number
  /** While the crew is there, unless its fish stay the night: then from the first day until, or into, the next. */
  readonly tankUse?: TankUse
  /** What it is worth, 1 for an ordinary visit. */
  readonly value: number
  readonly after: readonly PlanAfter[]
  readonly preferredCrew: string | null
  /** Where the published plan has it. */
  readonly published: Placement | null
  /** Promised or under way: stays on its crew and day. */
  readonly locked: boolean
  /**
   * So much later or earlier it may be at its place without anyone having to be told, minutes; any hour where left
   * out.
   */
  readonly slackMin?: number
  /** What moving it costs, as a multiple of the usual: dearer the nearer it is, and when its customer was told. */
  readonly changeWeight?: number
  /** Put first: what stands in its way moves. */
  readonly urgent?: boolean
  /** Published, but asked to be planned anew. */
  readonly free?: boolean
}

/** Prices in minutes of travel. @source house defaults */
export interface PlanWeights {
  /** A day off the best day, for a visit of value 1. */
  readonly offBestPerDay: number
  /** A day on which conditions surely fail. */
  readonly unlikely: number
  readonly unplaced: number
  readonly movedDay: number
  readonly movedCrew: number
  readonly otherCrew: number
  /** A minute of overtime. */
  readonly overtimePerMin: number
  /** One crew's week full beside another's empty one. */
  readonly unfair: number
}

export const DEFAULT_PLAN_WEIGHTS: PlanWeights = {
  offBestPerDay: 0.8,
  unlikely: 40,
  unplaced: 1500,
  movedDay: 60,
  movedCrew: 30,
  otherCrew: 12,
  overtimePerMin: 1.5,
  unfair: 200,
}

/** Where a crew is on the day of the plan's making, and from which minute it is free. */
export interface CrewOut {
  readonly day: IsoDate
  readonly fromMin: number
  readonly location: number
}

export interface PlanInput {
  /** Working days, rising. */
  readonly days: readonly IsoDate[]
  readonly crews: readonly PlanCrew[]
  readonly visits: readonly PlanVisit[]
  readonly locations: number
  /** Minutes from each location to each other, row by row. */
  readonly travel: Float64Array
  /** From when until when there is light to work by, minutes of the day; days that are not named are light enough. */
  readonly light: Readonly<Record<IsoDate, readonly [number, number]>>
  /** Crews that are out already: on that day they begin from there, and not before. */
  readonly out?: Readonly<Record<string, CrewOut>>
  readonly weights: PlanWeights
}

export const PLAN_RANGE = {
  minutes: [0, 24 * 60],
  crewSize: [1, 12],
  value: [0, 100],
  days: 400,
  visits: 20_000,
  crews: 60,
} as const

/** Two people do not work twice as fast as one. @source house default, as in the duration of a cleanout */
const CREW_EFFICIENCY = 0.85

/** Visits are set out in steps of so many minutes: nobody keeps 13:42. */
export const PLAN_STEP_MIN = 5

/** Rounded up to a whole step. */
export const wholeSteps = (minutes: number): number =>
  Math.max(0, Math.ceil(minutes / PLAN_STEP_MIN - 1e-9) * PLAN_STEP_MIN)

/** What a crew does of handwork at a time: so many people, at their pace. */
export const handsOfCrew = ({ size, pace = 1 }: Pick<PlanCrew, 'size' | 'pace'>): number =>
  (size <= 1 ? 1 : size * CREW_EFFICIENCY) / pace

/** Minutes on site with a crew, in whole steps. */
export const minutesWith = (
  { handsMin, fixedMin }: Pick<PlanVisit, 'handsMin' | 'fixedMin'>,
  crew: Pick<PlanCrew, 'size' | 'pace'>,
): number => wholeSteps(fixedMin + handsMin / handsOfCrew(crew))

export const hasAll = (wanted: readonly string[], there: readonly string[]): boolean =>
  wanted.every((w) => there.includes(w))

/** Steps that a plan of so many visits is given: 500 sites take well under a minute, 2,000 a few. */
export const planIterations = (visits: number): number => Math.min(200_000, 20_000 + 20 * visits)
