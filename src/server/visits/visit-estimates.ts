import { BED_MATERIALS } from '@/core/filter/bed/layers'
import type { Knex } from 'knex'
import { cleanoutDuration, overTwoDays, type DurationEstimate } from '@/core/visits/duration'
import { cleanoutQuantities, DEFAULT_KIT, type CleanoutPond } from '@/core/visits/cleanout-quantities'
import { minutesWith, wholeSteps } from '@/core/schedule/plan/plan-input'
import { visitMinutes, type HandsFactor } from '@/core/visits/learn-duration'
import { spareMinutes } from '@/core/visits/spare-minutes'
import { VISIT_PLANNING } from '@/core/visits/types'
import type { PondId } from '@/domain/shared/ids'
import type { PondInContext } from '@/domain/ponds/pond'
import { savedPondFacts, type PondFacts } from '@/domain/ponds/pond-facts'
import { systemVolumeOf } from '@/domain/ponds/system-volume'
import type { VisitEstimate } from '@/domain/visits/visit'
import { learntDurations } from './durations'

export const cleanoutPond = (pond: PondInContext, facts: PondFacts): CleanoutPond => ({
  // streams and boxes empty and fill with the pond; a bed keeps its water unless it is flushed
  waterM3: systemVolumeOf(pond, facts.adopted, [], BED_MATERIALS).totalM3,
  maxDepthM: facts.basin.maxDepthM,
  fish: pond.fish,
  sourceChlorinated: pond.waterSource === 'mains',
})

/** A crew without members still gets an estimate, for one pair of hands. */
export function estimateCleanout(pond: PondInContext, crewSize: number) {
  const facts = savedPondFacts(pond)
  const quantities = cleanoutQuantities(cleanoutPond(pond, facts), DEFAULT_KIT, null)
  const fishCount = pond.fish.reduce((sum, line) => sum + line.count, 0)
  return {
    quantities,
    duration: cleanoutDuration(quantities, fishCount, facts.basin.wettedAreaM2, Math.min(8, Math.max(1, crewSize))),
  }
}

/** Minutes of any kind of job before anything learnt; a cleanout's come from its own parts. */
function plainMinutes(jobKey: string, pond: PondInContext, cleanoutMin: number, crewSize: number): number {
  const { hands } = VISIT_PLANNING[jobKey]!
  return hands
    ? minutesWith(
        { handsMin: hands.baseMin + hands.perM2Min * savedPondFacts(pond).basin.areaM2, fixedMin: 0 },
        { size: Math.max(1, crewSize) },
      )
    : cleanoutMin
}

/** What a crew would take for a kind of job; only a cleanout's time has parts. */
export function estimateOf(jobKey: string, pond: PondInContext, crewSize: number): ReturnType<typeof estimateCleanout> {
  const cleanout = estimateCleanout(pond, crewSize)
  if (!VISIT_PLANNING[jobKey]!.hands) return cleanout
  return { ...cleanout, duration: { parts: [], totalMinutes: plainMinutes(jobKey, pond, 0, crewSize) } }
}

/** A crew's minutes on each day of work that can be spread over two; null where one day does. */
export function twoDaysOf(jobKey: string, { parts }: DurationEstimate): { first: Estimated; second: Estimated } | null {
  const two = VISIT_PLANNING[jobKey]!.hands ? null : overTwoDays(parts)
  return (
    two && {
      first: { handsMin: two.first.peopleMin, machineMin: two.first.machineMin },
      second: { handsMin: two.secondMin, machineMin: 0 },
    }
  )
}

/** Minutes of people and of machines that a visit, or a day of one, is estimated with before anything learnt. */
export type Estimated = Pick<VisitEstimate, 'handsMin' | 'machineMin'>

export const estimated = ({ parts, totalMinutes }: DurationEstimate): Estimated => {
  const machineMin = parts.filter((p) => p.by === 'machine').reduce((sum, p) => sum + p.minutes, 0)
  return { handsMin: totalMinutes - machineMin, machineMin }
}

/** What a visit is planned with: on average so long, to five minutes, and between what in four of five cases. */
export function plannedOf({ handsMin, machineMin }: Estimated, hands: HandsFactor) {
  const { meanMin, lowMin, highMin, sdMin } = visitMinutes(handsMin, machineMin, hands)
  return { minutes: wholeSteps(meanMin), lowMin, highMin, spareMin: spareMinutes(sdMin) }
}

/** Minutes that a crew of this size is planned at a pond with, as logged visits have taught. */
export async function minutesAt(
  trx: Knex.Transaction,
  jobKey: string,
  ponds: readonly PondInContext[],
  crewSize: number,
): Promise<Map<PondId, number>> {
  const { factorOf } = await learntDurations(trx)
  return new Map(
    ponds.map((pond) => {
      const { duration } = estimateOf(jobKey, pond, crewSize)
      return [pond.id, plannedOf(estimated(duration), factorOf(jobKey, pond.id, null)).minutes]
    }),
  )
}
