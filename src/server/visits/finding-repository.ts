import type { Knex } from 'knex'
import type { FirmId, PondId, VisitId } from '@/domain/shared/ids'
import type { Finding } from '@/domain/visits/finding'
import type { FindingUse } from '@/domain/visits/visit'

interface NewFinding {
  readonly id: string
  readonly pondId: PondId
  readonly visitId: VisitId
  readonly becomes: FindingUse
  readonly text: string
  readonly foundOn: string
}

export async function insertFinding(trx: Knex.Transaction, firmId: FirmId, finding: NewFinding): Promise<void> {
  await trx('findings').insert({
    id: finding.id,
    firm_id: firmId,
    pond_id: finding.pondId,
    visit_id: finding.visitId,
    becomes: finding.becomes,
    text: finding.text,
    found_on: finding.foundOn,
  })
}

/** Takes a finding back that its visit no longer bears out. */
export async function removeFinding(trx: Knex.Transaction, id: string): Promise<void> {
  await trx('findings').where({ id }).delete()
}

/** What is not settled yet, of one pond or of all, newest first. */
export async function listFindings(trx: Knex.Transaction, pondId?: PondId): Promise<Finding[]> {
  const query = trx('findings as f')
    .join('ponds as p', 'p.id', 'f.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .whereNull('f.settled_at')
    .select('f.*', 'p.name as pond_name', 's.name as site_name')
    .orderBy('f.found_on', 'desc')
  if (pondId) query.where('f.pond_id', pondId)
  return (await query).map((r) => ({
    id: r.id,
    pondId: r.pond_id,
    pondName: r.pond_name,
    siteName: r.site_name,
    becomes: r.becomes,
    text: r.text,
    foundOn: r.found_on,
  }))
}

/** @returns false when it is settled already, or not there */
export async function settleFinding(trx: Knex.Transaction, id: string): Promise<boolean> {
  return (await trx('findings').where({ id }).whereNull('settled_at').update({ settled_at: trx.fn.now() })) > 0
}
