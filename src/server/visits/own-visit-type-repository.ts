import type { Knex } from 'knex'
import { visitTypeByRules } from '@/core/visits/steps-by-rules'
import type { VisitType } from '@/core/visits/step'
import type { FirmId, UserId } from '@/domain/shared/ids'
import { withOwn, type OwnVisitType } from '@/domain/visits/own-visit-type'
import { houseRulesAt, type OwnRules } from '@/domain/house-rules/house-rules'
import { ProblemError } from '@/domain/shared/problems'
import { findFirm } from '@/server/firm/firm-repository'
import { said } from '@/domain/shared/said'
import { firmVisitWords, usualInWords } from '@/server/visits/usual-in-words'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    own_visit_types: { job: OwnVisitType }
  }
}

export interface KeptVisitType {
  /** Undefined where the firm goes by the usual kind. */
  readonly job: OwnVisitType | undefined
  /** 0 while it was never changed. */
  readonly version: number
}

export async function findOwnVisitType(trx: Knex.Transaction, key: string): Promise<KeptVisitType> {
  const row = await trx('own_visit_types').where({ key }).orderBy('version', 'desc').first('job', 'version')
  return { job: row?.job ?? undefined, version: row?.version ?? 0 }
}

/** Keys of visit types that the firm has changed. */
export async function listOwnVisitTypeKeys(trx: Knex.Transaction): Promise<Set<string>> {
  const rows = await trx('own_visit_types')
    .distinctOn('key')
    .orderBy([{ column: 'key' }, { column: 'version', order: 'desc' }])
    .select('key', 'job')
  return new Set(rows.filter((r) => r.job !== null).map((r) => r.key))
}

/** @throws {ProblemError} 'conflict' when someone else saved first */
export async function storeOwnVisitType(
  trx: Knex.Transaction,
  firmId: FirmId,
  key: string,
  version: number,
  job: OwnVisitType | null,
  by: UserId,
): Promise<void> {
  const row = { firm_id: firmId, key, version: version + 1, job: job && JSON.stringify(job), saved_by: by }
  const current = await findOwnVisitType(trx, key)
  const kept =
    current.version === version
      ? await trx('own_visit_types').insert(row).onConflict(['firm_id', 'key', 'version']).ignore().returning('key')
      : []
  if (kept.length === 0)
    throw new ProblemError({
      kind: 'conflict',
      message: said('visits.problems.someoneElseSavedStepsWhile'),
      current: await findOwnVisitType(trx, key),
    })
}

/** A visit type as this firm does it at a pond: its own copy of the steps, by the house rules there. */
export async function findJobAt(trx: Knex.Transaction, key: string, own: OwnRules): Promise<VisitType | undefined> {
  const usual = usualInWords(key)
  if (!usual) return undefined
  const { job, version } = await findOwnVisitType(trx, key)
  return visitTypeByRules(
    withOwn(usual, job, version),
    houseRulesAt((await findFirm(trx)).rules, own),
    firmVisitWords(),
  )
}
