import type { Knex } from 'knex'
import type { Need } from '@/core/schedule/needs/pond-work'
import { cleanoutQuantities, DEFAULT_KIT } from '@/core/visits/cleanout-quantities'
import { cleanoutDuration, overTwoDays } from '@/core/visits/duration'
import { visitMinutes, type HandsFactor, type LearntDurations } from '@/core/visits/learn-duration'
import { spareMinutes } from '@/core/visits/spare-minutes'
import { VISIT_PLANNING } from '@/core/visits/types'
import { SHARED_SETUP_MIN } from '@/core/visits/planning-facts'
import { addDays } from '@/core/numeric/calendar'
import { handsOfCrew, type PlanVisit } from '@/core/schedule/plan/plan-input'
import type { PondId } from '@/domain/shared/ids'
import { MAX_DAYS_IN_TANKS, SECOND_DAY_KEY } from '@/core/visits/types/cleanout-legs'
import { SECOND_DAY_SUFFIX } from '@/domain/schedule/plan-run'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { PlanningPond } from '@/server/schedule/planning-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { cleanoutPond } from '@/server/visits/visit-estimates'

/** Person-minutes of a day's work as estimated and as learnt, and machine minutes. */
export interface DayHands {
  /** By the plain estimate. */
  readonly plainMin: number
  /** What logged visits have taught, in the minutes already. */
  readonly handsMin: number
  readonly learnt: HandsFactor
  readonly fixedMin: number
  /** Kept free after it with a crew of the usual size. */
  readonly spareMin: number
}

interface Hands extends DayHands {
  /** Handwork left for a second day; null when one day does. */
  readonly secondDay: DayHands | null
  /** Holding tanks that its fish need, m³. */
  readonly tankM3: number
}

/** Person-minutes and machine minutes of each need; a cleanout from its pond's own quantities. */
export async function handsOf(
  trx: Knex.Transaction,
  needs: readonly Need[],
  ponds: ReadonlyMap<PondId, PlanningPond>,
  { factorOf }: LearntDurations,
  usualSize: number,
): Promise<Map<string, Hands>> {
  const found = new Map<string, Hands>()
  const day = (job: string, pondId: string, plainMin: number, fixedMin: number): DayHands => {
    const learnt = factorOf(job, pondId, null)
    const { sdMin } = visitMinutes(plainMin / handsOfCrew({ size: usualSize }), fixedMin, learnt)
    return {
      plainMin,
      handsMin: plainMin * learnt.factor,
      learnt,
      fixedMin,
      spareMin: spareMinutes(sdMin),
    }
  }
  for (const need of needs) {
    const { hands } = VISIT_PLANNING[need.job]!
    if (hands) {
      const { areaM2 } = ponds.get(need.pondId as PondId)!
      const plainMin = hands.baseMin + hands.perM2Min * areaM2 + alongMin(need, areaM2)
      found.set(need.id, { ...day(need.job, need.pondId, plainMin, 0), secondDay: null, tankM3: 0 })
      continue
    }
    const pond = (await findPond(trx, need.pondId as PondId))!
    const facts = savedPondFacts(pond)
    const fish = pond.fish.reduce((sum, line) => sum + line.count, 0)
    const quantities = cleanoutQuantities(cleanoutPond(pond, facts), DEFAULT_KIT, null)
    const tankM3 = quantities.holding.volumeM3
    const { parts } = cleanoutDuration(quantities, fish, facts.basin.wettedAreaM2, 1)
    const along = alongMin(need, facts.basin.areaM2)
    const minutesBy = (by: 'people' | 'machine') =>
      parts.filter((p) => p.by === by).reduce((total, p) => total + p.minutes, 0)
    const two = overTwoDays(parts)
    const first = two ? two.first : { peopleMin: minutesBy('people'), machineMin: minutesBy('machine') }
    found.set(need.id, {
      ...day(need.job, need.pondId, first.peopleMin + along, first.machineMin),
      secondDay: two && day(SECOND_DAY_KEY, need.pondId, two.secondMin, 0),
      tankM3,
    })
  }
  return found
}

/** What other jobs and tasks add to a visit, person-minutes. */
function alongMin(need: Need, areaM2: number): number {
  const jobs = need.also.reduce((sum, job) => {
    const { hands } = VISIT_PLANNING[job]!
    return sum + Math.max(0, (hands?.baseMin ?? 0) - SHARED_SETUP_MIN) + (hands?.perM2Min ?? 0) * areaM2
  }, 0)
  return need.tasks.reduce((sum, task) => sum + task.minutes, jobs)
}

const secondDayId = (needId: string): string => `${needId}${SECOND_DAY_SUFFIX}`

/** The day after a cleanout whose pond fills longer than a crew can wait. */
export const secondDay = (need: Need): Need => ({
  ...need,
  id: secondDayId(need.id),
  job: SECOND_DAY_KEY,
  earliest: addDays(need.earliest, 1),
  best: addDays(need.best, 1),
  latest: addDays(need.latest, MAX_DAYS_IN_TANKS),
  also: [],
  tasks: [],
  after: [{ need: need.id, minDays: 1, maxDays: MAX_DAYS_IN_TANKS, requires: true, leg: true }],
})

/** What is estimated of a need, or of the second day of one. */
export const dayOf = (need: Need, hands: ReadonlyMap<string, Hands>): DayHands =>
  (need.job === SECOND_DAY_KEY ? hands.get(need.after[0]!.need)?.secondDay : null) ?? hands.get(need.id)!

/**
 * Minutes and tanks of a need; fish of a cleanout of two days are in their tanks from its first day into its second.
 */
export function minutesOf(
  need: Need,
  hands: ReadonlyMap<string, Hands>,
): Pick<PlanVisit, 'handsMin' | 'fixedMin' | 'spareMin' | 'tankM3' | 'tankUse'> {
  const { handsMin, fixedMin, spareMin } = dayOf(need, hands)
  const first = need.job === SECOND_DAY_KEY ? hands.get(need.after[0]!.need) : undefined
  if (first) return { handsMin, fixedMin, spareMin, tankM3: first.tankM3, tankUse: 'from-morning' }
  const { tankM3, secondDay } = hands.get(need.id)!
  return { handsMin, fixedMin, spareMin, tankM3, tankUse: secondDay ? 'until-night' : 'while-there' }
}
