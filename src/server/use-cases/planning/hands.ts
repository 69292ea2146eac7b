import type { Knex } from 'knex'
import type { Need } from '@/core/dispatch/needs/pond-work'
import { cleanoutQuantities, DEFAULT_KIT } from '@/core/jobs/cleanout-quantities'
import { cleanoutDuration, type DurationPart } from '@/core/jobs/duration'
import { factorFor, type DurationLessons } from '@/core/jobs/learn-duration'
import { JOB_PLANNING, SHARED_SETUP_MIN } from '@/core/jobs/planning-facts'
import { addDays } from '@/core/numeric/calendar'
import type { PondId } from '@/domain/ids'
import { SECOND_DAY_SUFFIX, SECOND_DAY_TASK, withOtherDay } from '@/domain/plan-run'
import { savedPondFacts } from '@/domain/pond-facts'
import type { PlanningPond } from '@/server/db/planning-repository'
import { findPond } from '@/server/db/pond-repository'
import { cleanoutPond } from '../visit-planning'

/** A refill longer than this runs on after the crew has left, and the fish go back on the next working day. @source house default */
const LONGEST_REFILL_WAIT_MIN = 150
const MOST_DAYS_IN_TANKS = 1
const SECOND_DAY = 'Second day of the cleanout: refill finished, test, fish back (tanks aerated, covered and watched overnight)'

interface Hands {
  readonly handsMin: number
  readonly fixedMin: number
  /** Handwork left for a second day; 0 when one day does. */
  readonly secondDayMin: number
  /** What logged visits have taught, in the minutes already. */
  readonly learntFactor: number
  /** Holding tanks that its fish need, m³. */
  readonly tankM3: number
}

/** Person-minutes and machine minutes of each need; a cleanout from its pond's own quantities. */
export async function handsOf(
  trx: Knex.Transaction,
  needs: readonly Need[],
  ponds: ReadonlyMap<PondId, PlanningPond>,
  lessons: DurationLessons,
): Promise<Map<string, Hands>> {
  const found = new Map<string, Hands>()
  const learnt = (need: Need, { handsMin, fixedMin, secondDayMin, tankM3 }: Omit<Hands, 'learntFactor'>): Hands => {
    const learntFactor = factorFor(lessons, need.job, need.pondId)
    return { handsMin: handsMin * learntFactor, fixedMin: fixedMin * learntFactor, secondDayMin: secondDayMin * learntFactor, learntFactor, tankM3 }
  }
  for (const need of needs) {
    const { hands } = JOB_PLANNING[need.job]
    if (hands) {
      const { areaM2 } = ponds.get(need.pondId as PondId)!
      found.set(need.id, learnt(need, { handsMin: hands.baseMin + hands.perM2Min * areaM2 + alongMin(need, areaM2), fixedMin: 0, secondDayMin: 0, tankM3: 0 }))
      continue
    }
    const pond = (await findPond(trx, need.pondId as PondId))!
    const facts = savedPondFacts(pond)
    const fish = pond.fish.reduce((sum, line) => sum + line.count, 0)
    const quantities = cleanoutQuantities(cleanoutPond(pond, facts), DEFAULT_KIT, null)
    const tankM3 = quantities.holding.volumeM3
    const { parts } = cleanoutDuration(quantities, fish, facts.basin.wettedAreaM2, 1)
    const of = (part: DurationPart) => parts.find((p) => p.part === part)?.minutes ?? 0
    const handsMin = parts.filter((p) => p.by === 'people').reduce((total, p) => total + p.minutes, alongMin(need, facts.basin.areaM2))
    const two = of('refill') > LONGEST_REFILL_WAIT_MIN
    const later = of('tests') + of('fish-back') + of('pack-up')
    found.set(
      need.id,
      learnt(
        need,
        two
          ? { handsMin: handsMin - of('fish-back'), fixedMin: of('pump-out'), secondDayMin: later, tankM3 }
          : { handsMin, fixedMin: of('pump-out') + of('refill'), secondDayMin: 0, tankM3 },
      ),
    )
  }
  return found
}

/** What other jobs and tasks add to a visit, person-minutes. */
function alongMin(need: Need, areaM2: number): number {
  const jobs = need.also.reduce((sum, job) => {
    const { hands } = JOB_PLANNING[job]
    return sum + Math.max(0, (hands?.baseMin ?? 0) - SHARED_SETUP_MIN) + (hands?.perM2Min ?? 0) * areaM2
  }, 0)
  return need.tasks.reduce((sum, task) => sum + task.minutes, jobs)
}

/** The day after a cleanout whose pond fills longer than a crew can wait. */
export const secondDay = (need: Need): Need => ({
  ...need,
  id: `${need.id}${SECOND_DAY_SUFFIX}`,
  job: 'routine',
  earliest: addDays(need.earliest, 1),
  best: addDays(need.best, 1),
  latest: addDays(need.latest, MOST_DAYS_IN_TANKS + 2),
  also: [],
  tasks: [{ id: SECOND_DAY_TASK, title: SECOND_DAY, from: need.earliest, to: need.latest, minutes: 0, prefers: [] }],
  after: [{ need: need.id, minDays: 1, maxDays: MOST_DAYS_IN_TANKS, requires: true }],
})

export function minutesOf(need: Need, hands: ReadonlyMap<string, Hands>): { handsMin: number; fixedMin: number; tankM3: number } {
  if (need.id.endsWith(SECOND_DAY_SUFFIX)) return { handsMin: hands.get(withOtherDay(need.id))!.secondDayMin, fixedMin: 0, tankM3: 0 }
  const { handsMin, fixedMin, tankM3 } = hands.get(need.id)!
  return { handsMin, fixedMin, tankM3 }
}
