import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { CustomerId, FirmId, PondId, VisitId } from '@/domain/shared/ids'
import { NoticeTemplates, type NoticeKind, type NoticeState } from '@/domain/messages/notice'
import { ProblemError } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'
import { defaultTemplates } from '@/messages/messages/notice-templates'
import { firmTexts } from '@/messages/texts'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    notices: { kind: Notice['kind']; state: Notice['state'] }
  }
}

export interface NoticeVisit {
  readonly visitId: VisitId
  readonly pondId: PondId
  readonly state: string
  readonly day: string
  readonly startTime: string
  readonly jobName: string
  readonly crewName: string
  readonly siteName: string
  readonly customerId: CustomerId
  readonly customerName: string
  readonly email: string
  readonly notified: {
    readonly kind: NoticeKind
    readonly day: string
    readonly startTime: string
    readonly state: NoticeState
  } | null
}

/** Visits from a day on, called off ones among them, each with the last thing its customer was told. */
export async function listVisitsWithNotices(
  trx: Knex.Transaction,
  from: string,
  visitIds?: readonly VisitId[],
): Promise<NoticeVisit[]> {
  const query = trx('visits as v')
    .join('ponds as p', 'p.id', 'v.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .join('customers as c', 'c.id', 's.customer_id')
    .join('crews as w', 'w.id', 'v.crew_id')
    .joinRaw(
      `left join lateral (select n.kind, n.day, n.start_time, n.state from notices n
         where n.visit_id = v.id and n.kind in ('visit-planned', 'visit-moved', 'visit-cancelled', 'visit-report') and n.state <> 'failed'
         order by n.created_at desc limit 1) notified on true`,
    )
    .where('v.day', '>=', from)
    .select(
      'v.id',
      'v.pond_id',
      'v.state',
      'v.day',
      'v.start_time',
      'v.job_name',
      'w.name as crew_name',
      's.name as site_name',
    )
    .select('c.id as customer_id', 'c.name as customer_name', 'c.email')
    .select(
      'notified.kind as notified_kind',
      'notified.day as notified_day',
      'notified.start_time as notified_start',
      'notified.state as notified_state',
    )
    .orderBy(['v.day', 'v.start_time'])
  if (visitIds) query.whereIn('v.id', visitIds)
  return (await query).map((r) => ({
    visitId: r.id,
    pondId: r.pond_id,
    state: r.state,
    day: r.day,
    startTime: r.start_time,
    jobName: r.job_name,
    crewName: r.crew_name,
    siteName: r.site_name,
    customerId: r.customer_id,
    customerName: r.customer_name,
    email: r.email,
    notified: r.notified_kind
      ? { kind: r.notified_kind, day: r.notified_day, startTime: r.notified_start, state: r.notified_state }
      : null,
  }))
}

export interface Notice {
  readonly id: string
  readonly visitId: VisitId
  readonly kind: NoticeKind
  readonly day: string
  readonly startTime: string
  readonly recipient: string
  readonly subject: string
  readonly body: string
  readonly state: NoticeState
  readonly problem: string
  readonly madeAt: string
  readonly sentAt: string | null
}

export async function insertNotice(
  trx: Knex.Transaction,
  firmId: FirmId,
  notice: Omit<Notice, 'state' | 'problem' | 'madeAt' | 'sentAt'>,
  state: 'queued' | 'notified' = 'queued',
): Promise<void> {
  await trx('notices').insert({
    id: notice.id,
    firm_id: firmId,
    visit_id: notice.visitId,
    kind: notice.kind,
    day: notice.day,
    start_time: notice.startTime,
    recipient: notice.recipient,
    subject: notice.subject,
    body: notice.body,
    state,
    ...(state === 'notified' ? { sent_at: trx.fn.now() } : {}),
  })
}

const toNotice = (r: RowOf<'notices'>): Notice => ({
  id: r.id,
  visitId: r.visit_id,
  kind: r.kind,
  day: r.day,
  startTime: r.start_time,
  recipient: r.recipient,
  subject: r.subject,
  body: r.body,
  state: r.state,
  problem: r.problem,
  madeAt: r.created_at.toISOString(),
  sentAt: r.sent_at?.toISOString() ?? null,
})

export async function listNotices(
  trx: Knex.Transaction,
  limit: number,
): Promise<(Notice & { readonly customerName: string })[]> {
  const rows = await trx('notices as n')
    .join('visits as v', 'v.id', 'n.visit_id')
    .join('ponds as p', 'p.id', 'v.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .join('customers as c', 'c.id', 's.customer_id')
    .orderBy('n.created_at', 'desc')
    .limit(limit)
    .select('n.*', 'c.name as customer_name')
  return rows.map((r) => ({ ...toNotice(r), customerName: r.customer_name }))
}

/**
 * Takes a waiting notice on for sending, by its state: no two senders have it.
 * @returns undefined when it is on its way, sent, or not to be sent any more
 */
export async function claimNotice(trx: Knex.Transaction, id: string): Promise<Notice | undefined> {
  const rows = await trx('notices')
    .where({ id, state: 'queued' })
    .update({ state: 'sending', claimed_at: trx.fn.now() })
    .returning('*')
  return rows[0] && toNotice(rows[0])
}

export async function endNotice(
  trx: Knex.Transaction,
  id: string,
  state: 'sent' | 'failed' | 'queued',
  problem = '',
): Promise<void> {
  await trx('notices')
    .where({ id })
    .update({
      state,
      problem,
      ...(state === 'sent' ? { sent_at: trx.fn.now() } : {}),
      ...(state === 'queued' ? { waits_since: trx.fn.now() } : {}),
    })
}

/** Puts a notice back to wait, whatever it had got stuck in. @returns false where it is sent, or told in another way */
export async function requeueNotice(trx: Knex.Transaction, id: string): Promise<boolean> {
  return (
    (await trx('notices')
      .where({ id })
      .whereNotIn('state', ['sent', 'notified'])
      .update({ state: 'queued', waits_since: trx.fn.now() })) > 0
  )
}

export async function findTemplates(trx: Knex.Transaction): Promise<{ templates: NoticeTemplates; version: number }> {
  const row = await trx('notice_templates').first()
  return row
    ? { templates: NoticeTemplates.parse({ ...defaultTemplates(firmTexts()), ...row.templates }), version: row.version }
    : { templates: defaultTemplates(firmTexts()), version: 0 }
}

/** @throws {ProblemError} 'conflict' when someone else saved first */
export async function storeTemplates(
  trx: Knex.Transaction,
  firmId: FirmId,
  version: number,
  templates: NoticeTemplates,
): Promise<void> {
  const row = { firm_id: firmId, templates: JSON.stringify(templates) }
  if (
    version === 0 &&
    (await trx('notice_templates').insert(row).onConflict('firm_id').ignore().returning('firm_id')).length > 0
  )
    return
  const changed = await trx('notice_templates')
    .where({ version })
    .update({ templates: row.templates, version: version + 1 })
  if (changed === 0)
    throw new ProblemError({
      kind: 'conflict',
      message: said('messages.problems.someoneElseSavedLettersWhile'),
      current: await findTemplates(trx),
    })
}
