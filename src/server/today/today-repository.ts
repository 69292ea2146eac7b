import type { Knex } from 'knex'
import { addDays } from '@/core/numeric/calendar'
import type { PondId, VisitId } from '@/domain/shared/ids'

const MAX_LINES = 8
/** Visits further back are history: nobody will log them any more. */
const UNLOGGED_DAYS = 60

export interface CustomerRequest {
  readonly id: string
  readonly pondId: PondId
  readonly pondName: string
  readonly siteName: string
  readonly title: string
  readonly urgent: boolean
  readonly dueTo: string
}

/**
 * What customers ask for and nobody has done yet, the urgent first.
 * @returns the first lines, and how many there are
 */
export async function listRequests(trx: Knex.Transaction): Promise<{ lines: CustomerRequest[]; count: number }> {
  const open = () => trx('follow_ups as f').whereNull('f.done_at').where('f.asked_by_customer', true)
  const rows = await open()
    .join('ponds as p', 'p.id', 'f.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .orderBy([{ column: 'f.urgent', order: 'desc' }, 'f.due_to'])
    .limit(MAX_LINES)
    .select('f.id', 'f.pond_id', 'f.title', 'f.urgent', 'f.due_to', 'p.name as pond_name', 's.name as site_name')
  return {
    count: await countOf(open()),
    lines: rows.map((r) => ({
      id: r.id,
      pondId: r.pond_id,
      pondName: r.pond_name,
      siteName: r.site_name,
      title: r.title,
      urgent: r.urgent,
      dueTo: r.due_to,
    })),
  }
}

export interface UnloggedVisit {
  readonly id: VisitId
  readonly day: string
  readonly state: 'planned' | 'under-way'
  readonly jobName: string
  readonly crewName: string
  readonly pondName: string
  readonly siteName: string
}

/** Visits of past days of which nobody has said how they ended. @returns the latest, and how many there are */
export async function listUnlogged(
  trx: Knex.Transaction,
  today: string,
): Promise<{ lines: UnloggedVisit[]; count: number }> {
  const past = () =>
    trx('visits as v')
      .whereIn('v.state', ['planned', 'under-way'])
      .where('v.day', '<', today)
      .where('v.day', '>=', addDays(today, -UNLOGGED_DAYS))
  const rows = await past()
    .join('ponds as p', 'p.id', 'v.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .join('crews as c', 'c.id', 'v.crew_id')
    .orderBy('v.day', 'desc')
    .limit(MAX_LINES)
    .select(
      'v.id',
      'v.day',
      'v.state',
      'v.job_name',
      'c.name as crew_name',
      'p.name as pond_name',
      's.name as site_name',
    )
  return {
    count: await countOf(past()),
    lines: rows.map((r) => ({
      id: r.id,
      day: r.day,
      state: r.state,
      jobName: r.job_name,
      crewName: r.crew_name,
      pondName: r.pond_name,
      siteName: r.site_name,
    })),
  }
}

/** Follow-ups that are due by a day, all of them. */
export const countFollowUpsDue = (trx: Knex.Transaction, dueBy: string): Promise<number> =>
  countOf(trx('follow_ups as f').whereNull('f.done_at').where('f.due_from', '<=', dueBy))

async function countOf(query: Knex.QueryBuilder): Promise<number> {
  const [row] = await query.clone().count('* as count')
  return Number(row.count)
}
