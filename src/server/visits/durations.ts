import type { Knex } from 'knex'
import { learnDurationCorrections, correctionKey, type DurationCorrections } from '@/core/visits/learn-duration'
import { visitType } from '@/core/visits/visit-types'
import { badField } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listTimedVisits, resetDurations } from '@/server/visits/duration-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { quantileOfSorted } from '@/core/statistics/quantile'
import { said } from '@/domain/shared/said'

/** What the firm's logged visits have taught about durations. */
export const durationCorrections = async (trx: Knex.Transaction): Promise<DurationCorrections> =>
  learnDurationCorrections(await listTimedVisits(trx))

/** Every job and pond that has taught something, for people to look at. */
export async function durationsPage(actor: Actor) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const visits = await listTimedVisits(trx)
    const { byJob, byPond } = learnDurationCorrections(visits)
    const names = new Map(visits.map((v) => [v.pondId, v.pondName]))
    return [...byJob].map(([job, correction]) => ({
      job,
      ...correction,
      usualMin: median(visits.filter((v) => v.job === job).map((v) => v.estimateMin)),
      ponds: [...names]
        .flatMap(([pondId, name]) => {
          const there = byPond.get(correctionKey(job, pondId))
          return there ? [{ pondId, name, ...there }] : []
        })
        .sort(
          (a, b) => Math.abs(Math.log(b.factor / correction.factor)) - Math.abs(Math.log(a.factor / correction.factor)),
        ),
    }))
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
