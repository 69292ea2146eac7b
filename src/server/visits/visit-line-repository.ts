import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { CrewId, PondId, VisitId } from '@/domain/shared/ids'
import type { VisitState } from '@/domain/visits/visit'

/** A visit in one line: for lists over many, without steps and quantities. */
export interface VisitLine {
  readonly id: VisitId
  readonly pondId: PondId
  readonly crewId: CrewId
  readonly crewName: string
  readonly state: VisitState
  readonly day: string
  readonly startTime: string
  readonly plannedMinutes: number
  readonly jobKey: string
  readonly jobName: string
  readonly pondName: string
  readonly siteName: string
  readonly town: string
  readonly version: number
  readonly locked: boolean
  /** The first day of the same piece of work, where this is its second. */
  readonly legOf: VisitId | null
}

const lines = (trx: Knex.Transaction) =>
  trx('visits as v')
    .join('ponds as p', 'p.id', 'v.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .join('crews as w', 'w.id', 'v.crew_id')
    .whereNotIn('v.state', ['cancelled', 'given-up'])
    .select(
      'v.id',
      'v.pond_id',
      'v.crew_id',
      'w.name as crew_name',
      'v.state',
      'v.day',
      'v.start_time',
      'v.planned_minutes',
      'v.version',
      'v.locked',
      'v.leg_of',
      'v.job_key',
      'v.job_name',
      'p.name as pond_name',
      's.name as site_name',
      's.town',
    )
    .orderBy(['v.day', 'v.start_time'])

const toLine = (r: RowOf<'visits'> & Record<'crew_name' | 'pond_name' | 'site_name' | 'town', string>): VisitLine => ({
  id: r.id,
  pondId: r.pond_id,
  crewId: r.crew_id,
  crewName: r.crew_name,
  state: r.state,
  day: r.day,
  startTime: r.start_time,
  plannedMinutes: r.planned_minutes,
  jobKey: r.job_key,
  jobName: r.job_name,
  pondName: r.pond_name,
  siteName: r.site_name,
  town: r.town,
  version: r.version,
  locked: r.locked,
  legOf: r.leg_of,
})

export async function listVisitLines(
  trx: Knex.Transaction,
  filter: { from: string; to: string },
): Promise<VisitLine[]> {
  return (await lines(trx).whereBetween('v.day', [filter.from, filter.to])).map(toLine)
}

/** All visits of some ponds. */
export async function listVisitLinesOf(trx: Knex.Transaction, pondIds: readonly PondId[]): Promise<VisitLine[]> {
  return (await lines(trx).whereIn('v.pond_id', pondIds)).map(toLine)
}

export async function findVisitLine(trx: Knex.Transaction, id: VisitId): Promise<VisitLine | undefined> {
  const row = await lines(trx).where('v.id', id).first()
  return row && toLine(row)
}

/** Days of one job's visits by pond: what a whole firm's calendar is checked against, without names. */
export async function listVisitDays(
  trx: Knex.Transaction,
  filter: { from: string; to: string; jobKey: string },
): Promise<Map<PondId, string[]>> {
  const rows = await trx('visits')
    .whereBetween('day', [filter.from, filter.to])
    .whereNotIn('state', ['cancelled', 'given-up'])
    .where('job_key', filter.jobKey)
    .groupBy('pond_id')
    .select<{ pond_id: PondId; days: string[] }[]>('pond_id', trx.raw('array_agg(day::text) as days'))
  return new Map(rows.map((r) => [r.pond_id, r.days]))
}
