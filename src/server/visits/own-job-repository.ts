import type { Knex } from 'knex'
import { jobByPractice } from '@/core/visits/practice-steps'
import { jobType } from '@/core/visits/job-types'
import type { JobType } from '@/core/visits/step'
import type { FirmId, UserId } from '@/domain/shared/ids'
import { withOwn, type OwnJob } from '@/domain/visits/own-job'
import { practiceAt, type OwnPractice } from '@/domain/house-rules/house-rules'
import { ProblemError } from '@/domain/shared/problems'
import { findFirm } from '@/server/firm/firm-repository'

export interface KeptJob {
  /** Undefined where the firm goes by the usual kind. */
  readonly job: OwnJob | undefined
  /** 0 while it was never changed. */
  readonly version: number
}

export async function findOwnJob(trx: Knex.Transaction, key: string): Promise<KeptJob> {
  const row = await trx('own_jobs').where({ key }).orderBy('version', 'desc').first('job', 'version')
  return { job: row?.job ?? undefined, version: row?.version ?? 0 }
}

/** Keys of kinds of visits that the firm has changed. */
export async function listOwnJobKeys(trx: Knex.Transaction): Promise<Set<string>> {
  const rows = await trx('own_jobs')
    .distinctOn('key')
    .orderBy([{ column: 'key' }, { column: 'version', order: 'desc' }])
    .select('key', 'job')
  return new Set(rows.filter((r) => r.job !== null).map((r) => r.key))
}

/** @throws {ProblemError} 'conflict' when someone else saved first */
export async function storeOwnJob(trx: Knex.Transaction, firmId: FirmId, key: string, version: number, job: OwnJob | null, by: UserId): Promise<void> {
  const row = { firm_id: firmId, key, version: version + 1, job: job && JSON.stringify(job), saved_by: by }
  const current = await findOwnJob(trx, key)
  const kept = current.version === version ? await trx('own_jobs').insert(row).onConflict(['firm_id', 'key', 'version']).ignore().returning('key') : []
  if (kept.length === 0)
    throw new ProblemError({
      kind: 'conflict',
      message: 'Someone else saved these steps while you were working on them. Open the page again to go on from what is saved.',
      current: await findOwnJob(trx, key),
    })
}

/** A kind of visit as this firm does it at a pond: its own copy of the steps, by the practice there. */
export async function findJobAt(trx: Knex.Transaction, key: string, own: OwnPractice): Promise<JobType | undefined> {
  const usual = jobType(key)
  if (!usual) return undefined
  const { job, version } = await findOwnJob(trx, key)
  return jobByPractice(withOwn(usual, job, version), practiceAt((await findFirm(trx)).practice, own))
}
