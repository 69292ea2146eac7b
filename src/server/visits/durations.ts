import type { Knex } from 'knex'
import { learnDurations, lessonKey, type DurationLessons } from '@/core/visits/learn-duration'
import { jobType } from '@/core/visits/job-types'
import { badField } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listTimedVisits, resetDurations } from '@/server/visits/duration-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'

/** What the firm's logged visits have taught about durations. */
export const durationLessons = async (trx: Knex.Transaction): Promise<DurationLessons> => learnDurations(await listTimedVisits(trx))

/** Every job and pond that has taught something, for people to look at. */
export async function durationsPage(actor: Actor) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const visits = await listTimedVisits(trx)
    const { byJob, byPond } = learnDurations(visits)
    const names = new Map(visits.map((v) => [v.pondId, v.pondName]))
    return [...byJob].map(([job, lesson]) => ({
      job,
      name: jobType(job)?.name ?? job,
      ...lesson,
      usualMin: median(visits.filter((v) => v.job === job).map((v) => v.estimateMin)),
      ponds: [...names]
        .flatMap(([pondId, name]) => {
          const there = byPond.get(lessonKey(job, pondId))
          return there ? [{ pondId, name, ...there }] : []
        })
        .sort((a, b) => Math.abs(Math.log(b.factor / lesson.factor)) - Math.abs(Math.log(a.factor / lesson.factor))),
    }))
  })
}

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0

/** Forgets what was learnt about a job so far; it is learnt anew from the visits to come. */
export async function forgetDurations(actor: Actor, job: string): Promise<void> {
  assertMay(actor, 'visits.plan')
  if (!jobType(job)) throw badField('job', 'That kind of job is not known.')
  await inFirm(actor.firmId, (trx) => resetDurations(trx, actor.firmId, job))
}
