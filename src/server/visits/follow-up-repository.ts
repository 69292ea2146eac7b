import type { RowOf } from '@/server/platform/db/column-types'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { EntryId, FirmId, FollowUpId, PondId, VisitId } from '@/domain/shared/ids'
import type { FollowUp } from '@/domain/water/reading'

export async function insertFollowUp(
  trx: Knex.Transaction,
  firmId: FirmId,
  followUp: {
    /** Of the line of a log that it comes from, so that the line sent twice asks once. */
    id?: FollowUpId | EntryId
    pondId: PondId
    visitId: VisitId | null
    title: string
    readings: readonly string[]
    dueFrom: string
    dueTo: string
    minutes?: number
    askedByCustomer?: boolean
    urgent?: boolean
  },
): Promise<void> {
  await trx('follow_ups').insert({
    id: (followUp.id ?? randomUUID()) as FollowUpId,
    firm_id: firmId,
    pond_id: followUp.pondId,
    visit_id: followUp.visitId,
    title: followUp.title,
    readings: JSON.stringify(followUp.readings),
    due_from: followUp.dueFrom,
    due_to: followUp.dueTo,
    asked_by_customer: followUp.askedByCustomer ?? false,
    urgent: followUp.urgent ?? false,
    ...(followUp.minutes === undefined ? {} : { minutes: followUp.minutes }),
  })
}

type FollowUpRow = RowOf<'follow_ups'> & { pond_name: string; site_name: string }

const toFollowUp = (r: FollowUpRow): FollowUp => ({
  id: r.id,
  pondId: r.pond_id,
  pondName: r.pond_name,
  siteName: r.site_name,
  title: r.title,
  dueFrom: r.due_from,
  dueTo: r.due_to,
  minutes: r.minutes,
  doneAt: r.done_at?.toISOString() ?? null,
  askedByCustomer: r.asked_by_customer,
  urgent: r.urgent,
})

const withContext = (trx: Knex.Transaction) =>
  trx('follow_ups as f')
    .join('ponds as p', 'p.id', 'f.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .select('f.*', 'p.name as pond_name', 's.name as site_name')

/** What a visit left to be done, whether it has been done since or not. */
export async function listFollowUpsOfVisit(trx: Knex.Transaction, visitId: VisitId): Promise<FollowUp[]> {
  return (await withContext(trx).where('f.visit_id', visitId).orderBy('f.due_from')).map(toFollowUp)
}

export async function listOpenFollowUps(
  trx: Knex.Transaction,
  filter: { pondId?: PondId; dueBy?: string; limit?: number } = {},
): Promise<FollowUp[]> {
  const query = withContext(trx)
    .whereNull('f.done_at')
    .orderBy('f.due_from')
    .limit(filter.limit ?? 100)
  if (filter.pondId) query.where('f.pond_id', filter.pondId)
  if (filter.dueBy) query.where('f.due_from', '<=', filter.dueBy)
  return (await query).map(toFollowUp)
}

/** @returns false when it is closed already, or not there */
export async function closeFollowUp(trx: Knex.Transaction, id: FollowUpId): Promise<boolean> {
  return (await trx('follow_ups').where({ id }).whereNull('done_at').update({ done_at: trx.fn.now() })) > 0
}

/** @returns false when it is open, or not there */
export async function reopenFollowUp(trx: Knex.Transaction, id: FollowUpId): Promise<boolean> {
  return (await trx('follow_ups').where({ id }).whereNotNull('done_at').update({ done_at: null })) > 0
}

/**
 * Closes a pond's open follow-ups whose readings are all among those just taken.
 * @param day of the test; earlier due dates only
 */
export async function closeAnsweredFollowUps(
  trx: Knex.Transaction,
  pondId: PondId,
  taken: readonly string[],
  day: string,
  at: string,
): Promise<void> {
  await trx('follow_ups')
    .where({ pond_id: pondId })
    .whereNull('done_at')
    .where('due_from', '<=', day)
    // a wish without tests is closed by hand or by its visit, never by a reading
    .whereRaw(`readings <> '[]'::jsonb`)
    .whereRaw('?::jsonb @> readings', [JSON.stringify(taken)])
    .update({ done_at: at })
}

/** Wishes of a customer that are still open. */
export async function countOpenRequests(trx: Knex.Transaction, pondIds: readonly PondId[]): Promise<number> {
  const row = await trx('follow_ups')
    .whereIn('pond_id', pondIds)
    .whereNull('done_at')
    .where({ asked_by_customer: true })
    .count<{ count: string }[]>('id as count')
    .first()
  return Number(row?.count ?? 0)
}
