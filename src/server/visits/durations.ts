import type { Knex } from 'knex'
import { learnDurations, type HandsFactor, type LearntDurations, type TimedVisit } from '@/core/visits/learn-duration'
import { visitType } from '@/core/visits/visit-types'
import { badField } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listTimedVisits, resetDurations } from '@/server/visits/duration-repository'
import { listCrews } from '@/server/people/people-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { quantileOfSorted } from '@/core/statistics/quantile'
import { said } from '@/domain/shared/said'

/** What was learnt last, by the visits it was learnt from: some hundred milliseconds for a large firm. */
const kept = new Map<string, LearntDurations>()
const KEPT = 20

/** What the firm's logged visits have taught about durations. */
export const learntDurations = async (trx: Knex.Transaction): Promise<LearntDurations> =>
  learntFrom(await listTimedVisits(trx))

function learntFrom(visits: readonly TimedVisit[]): LearntDurations {
  const key = visits.map((v) => [v.job, v.pondId, v.crewId, v.handsMin, v.machineMin, v.tookMin].join(' ')).join('\n')
  const learnt = kept.get(key) ?? learnDurations(visits)
  // the last that was asked for is the last to go
  kept.delete(key)
  kept.set(key, learnt)
  if (kept.size > KEPT) kept.delete(kept.keys().next().value!)
  return learnt
}

/** A pond or a crew with what was learnt of it. */
interface LearntOf {
  readonly id: string
  readonly name: string
  readonly factor: number
  readonly visits: number
}

interface LearntJob extends HandsFactor {
  readonly job: string
  readonly visits: number
  /** Median of what its visits were estimated at: handwork, and machines beside it. */
  readonly handsMin: number
  readonly machineMin: number
  readonly ponds: readonly LearntOf[]
}

/** Every job, crew and pond that has taught something, for people to look at. */
export async function durationsPage(actor: Actor) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const listed = await listTimedVisits(trx)
    const { factorOf, paceOf, visits } = learntFrom(listed)
    const names = new Map(listed.map((v) => [v.pondId, v.pondName]))
    const count = (of: (v: TimedVisit) => boolean) => visits.filter(of).length
    const jobs = [...new Set(visits.map((v) => v.job))].map((job): LearntJob => {
      const own = visits.filter((v) => v.job === job)
      const usual = factorOf(job, null, null)
      const ponds = [...new Set(own.map((v) => v.pondId))].map((id): LearntOf => ({
        id,
        name: names.get(id)!,
        factor: factorOf(job, id, null).factor,
        visits: own.filter((v) => v.pondId === id).length,
      }))
      return {
        job,
        ...usual,
        visits: own.length,
        handsMin: median(own.map((v) => v.handsMin)),
        machineMin: median(own.map((v) => v.machineMin)),
        ponds: ponds.sort(
          (a, b) => Math.abs(Math.log(b.factor / usual.factor)) - Math.abs(Math.log(a.factor / usual.factor)),
        ),
      }
    })
    const crews = (await listCrews(trx)).flatMap(({ id, name }): LearntOf[] => {
      const seen = count((v) => v.crewId === id)
      return seen > 0 ? [{ id, name, factor: paceOf(id), visits: seen }] : []
    })
    return { jobs: jobs.sort((a, b) => b.visits - a.visits), crews }
  })
}
export type DurationsData = Awaited<ReturnType<typeof durationsPage>>

const median = (values: readonly number[]): number =>
  values.length === 0
    ? 0
    : quantileOfSorted(
        values.toSorted((a, b) => a - b),
        0.5,
      )

/** Forgets what was learnt about a job so far; it is learnt anew from the visits to come. */
export async function forgetDurations(actor: Actor, job: string): Promise<void> {
  assertMay(actor, 'visits.plan')
  if (!visitType(job)) throw badField('job', said('visits.problems.kindJobKnown'))
  await inFirm(actor.firmId, (trx) => resetDurations(trx, actor.firmId, job))
}
