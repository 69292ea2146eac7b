import type { Knex } from 'knex'
import type { FirmId, PlanRunId, TakeoverId, UserId } from '@/domain/shared/ids'
import type { TakenVisit, UndoBarred } from '@/domain/schedule/takeover'

export async function insertTakeover(
  trx: Knex.Transaction,
  firmId: FirmId,
  takeover: {
    readonly id: TakeoverId
    readonly runId: PlanRunId
    readonly by: UserId
    readonly visits: readonly TakenVisit[]
  },
): Promise<void> {
  await trx('plan_takeovers').insert({
    id: takeover.id,
    firm_id: firmId,
    run_id: takeover.runId,
    by_id: takeover.by,
    visits: JSON.stringify(takeover.visits),
  })
}

export interface KeptTakeover {
  readonly id: TakeoverId
  readonly at: Date
  readonly byName: string
  readonly visits: readonly TakenVisit[]
}

/** The last one that has not been undone; locked against another undo when it is to be undone. */
export async function latestTakeover(trx: Knex.Transaction, { lock = false } = {}): Promise<KeptTakeover | undefined> {
  const query = trx('plan_takeovers as t')
    .join('users as u', 'u.id', 't.by_id')
    .whereNull('t.undone_at')
    .orderBy('t.at', 'desc')
  if (lock) query.forUpdate('t')
  const row = await query.first('t.id', 't.at', 't.visits', 'u.name as by_name')
  return row && { id: row.id, at: row.at, byName: row.by_name, visits: row.visits }
}

export async function markUndone(trx: Knex.Transaction, id: TakeoverId): Promise<void> {
  await trx('plan_takeovers').where({ id }).update({ undone_at: trx.fn.now() })
}

/** What stands in the way of undoing: a visit of it that has begun, or one whose customer was told since. */
export async function barredBy(trx: Knex.Transaction, { at, visits }: KeptTakeover): Promise<UndoBarred | null> {
  const ids = visits.map((v) => v.visitId as string)
  const of = trx('visits as v')
    .join('ponds as p', 'p.id', 'v.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .whereRaw('v.id = any(?::uuid[])', [ids])
  const begun = await of.clone().whereNotIn('v.state', ['planned', 'cancelled']).orderBy('v.day').first('s.name')
  if (begun) return { code: 'begun', siteName: begun.name }
  const notified = await of
    .clone()
    .join('notices as n', 'n.visit_id', 'v.id')
    .where('n.created_at', '>', at)
    .whereNot('n.state', 'failed')
    .orderBy('v.day')
    .first('s.name')
  return notified ? { code: 'notified', siteName: notified.name } : null
}
