import type { Knex } from 'knex'
import type { SavedDiagnosis } from '@/domain/diagnosis/diagnosis'
import type { ActedOn } from '@/domain/trust/trust'
import type { DiagnosisId, FirmId, PondId, UserId } from '@/domain/shared/ids'

export async function insertDiagnosis(
  trx: Knex.Transaction,
  firmId: FirmId,
  made: Omit<SavedDiagnosis, 'madeByName' | 'outcome'> & { readonly byId: UserId },
): Promise<void> {
  await trx('diagnoses').insert({
    id: made.id,
    firm_id: firmId,
    pond_id: made.pondId,
    cause: made.cause,
    likelihood: made.likelihood,
    findings: JSON.stringify(made.findings),
    made_on: made.madeOn,
    better_from: made.betterFrom,
    better_to: made.betterTo,
    made_by: made.byId,
  })
}

/** The newest first. */
export async function listDiagnoses(trx: Knex.Transaction, pondId: PondId): Promise<SavedDiagnosis[]> {
  const rows = await trx('diagnoses as d')
    .join('users as u', 'u.id', 'd.made_by')
    .where('d.pond_id', pondId)
    .orderBy('d.made_at', 'desc')
    .select('d.*', 'u.name as by_name')
  return rows.map((r) => ({
    id: r.id,
    pondId: r.pond_id,
    cause: r.cause,
    likelihood: r.likelihood,
    madeOn: r.made_on,
    betterFrom: r.better_from,
    betterTo: r.better_to,
    findings: r.findings,
    outcome: r.outcome,
    madeByName: r.by_name,
  }))
}

/** Every cause that was acted on, with what was said of it later. */
export const listActedOn = async (trx: Knex.Transaction): Promise<ActedOn[]> =>
  trx('diagnoses').select('cause', 'likelihood', 'outcome')

/** @returns whether there was one */
export async function setOutcome(
  trx: Knex.Transaction,
  id: DiagnosisId,
  outcome: SavedDiagnosis['outcome'],
): Promise<boolean> {
  return (await trx('diagnoses').where({ id }).update({ outcome })) > 0
}
