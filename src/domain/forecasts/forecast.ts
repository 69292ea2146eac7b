import { HAZARD_KEYS, HAZARDS, type Hazard } from '../../core/assimilation/hazards'
import type { Outlook } from '../../core/assimilation/outlook'
import { addDays } from '../../core/numeric/calendar'
import type { ForecastRunId, PondId } from '../shared/ids'
import type { Pond } from '../ponds/pond'

/** How bad it is when a line is crossed. @source house defaults: what kills within hours weighs most */
const SEVERITY: Readonly<Record<Hazard, number>> = {
  oxygen: 1,
  ammonia: 1,
  nitrite: 0.8,
  heat: 0.5,
  level: 0.35,
  murk: 0.25,
}
/** What is at stake, by what the pond is for. @source house defaults */
const STAKE: Readonly<Record<Pond['use'], number>> = {
  koi: 1,
  'many-fish': 0.9,
  'few-small-fish': 0.7,
  swimming: 0.6,
  wildlife: 0.4,
}
/** Hazards that fish suffer: nothing is at stake without any. */
const OF_FISH: readonly Hazard[] = ['oxygen', 'ammonia', 'nitrite', 'heat']
/** Where looks are what the customer pays for, murk weighs more. */
const MURK_MATTERS: Partial<Record<Pond['use'], number>> = { swimming: 3, koi: 1.5 }
/** Below this a risk is not worth a line. */
const WORTH_A_LINE = 0.3

/** Job that helps against each. */
const HELP: Readonly<Record<Hazard, string>> = {
  oxygen: 'routine',
  ammonia: 'routine',
  nitrite: 'routine',
  heat: 'routine',
  level: 'routine',
  murk: 'wetland-flush',
}

/** One risk of a pond. */
export interface Risk {
  readonly hazard: Hazard
  /** Share of the runs in which it comes to pass within a week, and within three. */
  readonly week: number
  readonly whole: number
  /** Likeliest day. */
  readonly day: string
  /** Risk × consequence, 0..1 and a little more. */
  readonly weight: number
  readonly jobKey: string
}

/** What a forecast worried about when it was made. */
export interface ForecastRisks {
  readonly madeAt: string
  readonly risks: readonly Risk[]
}

/** A pond's risks, the heaviest first. */
export function risksOf(outlook: Outlook, pond: Pick<Pond, 'use' | 'fish'>): Risk[] {
  const hasFish = pond.fish.some((f) => f.count > 0)
  return HAZARD_KEYS.flatMap((hazard): Risk[] => {
    const { week, whole, day } = outlook.risks[hazard]
    if (whole < WORTH_A_LINE || day === null || (!hasFish && OF_FISH.includes(hazard))) return []
    const likely = 0.7 * week + 0.3 * whole
    const weight = likely * SEVERITY[hazard] * STAKE[pond.use] * (hazard === 'murk' ? (MURK_MATTERS[pond.use] ?? 1) : 1)
    return [{ hazard, week, whole, day: addDays(outlook.from, day), weight, jobKey: HELP[hazard] }]
  }).sort((a, b) => b.weight - a.weight)
}

/** A pond's risk: its heaviest one, and a little for the others. */
export function riskOf(risks: readonly Risk[]): number {
  const [first, ...rest] = risks
  return first ? first.weight + 0.2 * rest.reduce((sum, w) => sum + w.weight, 0) : 0
}

export const hazardLine = (hazard: Hazard): number => HAZARDS[hazard].line

export interface ForecastRun {
  readonly id: ForecastRunId
  readonly state: 'queued' | 'running' | 'done' | 'stopped' | 'failed'
  readonly done: number
  readonly ponds: number
  readonly problem: string
  readonly askedAt: string
  readonly finishedAt: string | null
}

export interface PondForecast {
  readonly pondId: PondId
  readonly outlook: Outlook
  readonly risks: readonly Risk[]
  readonly madeAt: string
}
