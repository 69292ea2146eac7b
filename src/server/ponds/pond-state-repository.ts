import type { Knex } from 'knex'
import type { PondState, StateVisit } from '@/domain/ponds/pond-state'
import type { PondId, VisitId } from '@/domain/shared/ids'
import { latestVerdicts } from '@/server/forecasts/concern-repository'
import { listForecastRisks } from '@/server/forecasts/forecast-repository'

/** What stands counts for more than approved, approved for more than merely saved. */
const STATE_RANK = `case when d.state in ('built', 'found') then 0 when d.state = 'approved' then 1 else 2 end`

/** How ponds stand: of every kind of fact one question for all of them. @param since older forecasts say nothing */
export async function listPondStates(
  trx: Knex.Transaction,
  pondIds: readonly PondId[],
  { today, since }: { today: string; since: Date },
): Promise<Map<PondId, PondState>> {
  const verdicts = new Map((await latestVerdicts(trx, pondIds)).map((v) => [v.pondId, v.band]))
  const risks = await listForecastRisks(trx, pondIds, since)
  const last = await visitsBy(trx, pondIds, (q) => q.where('state', 'done'), 'desc')
  const next = await visitsBy(
    trx,
    pondIds,
    (q) => q.whereIn('state', ['planned', 'under-way']).where('day', '>=', today),
    'asc',
  )
  const filters = await filtersOf(trx, pondIds)
  const agreed = await countsOf(
    trx('service_plans').whereIn('pond_id', pondIds).select('pond_id', trx.raw('jsonb_array_length(lines) as count')),
  )
  const due = await countsOf(
    trx('follow_ups')
      .whereIn('pond_id', pondIds)
      .whereNull('done_at')
      .where('due_from', '<=', today)
      .groupBy('pond_id')
      .select('pond_id', trx.raw('count(*) as count')),
  )
  return new Map(
    pondIds.map((id) => [
      id,
      {
        water: verdicts.get(id) ?? null,
        risk: risks.get(id)?.risks[0] ?? null,
        lastVisit: last.get(id) ?? null,
        nextVisit: next.get(id) ?? null,
        filter: filters.get(id) ?? null,
        agreed: agreed.get(id) ?? 0,
        followUpsDue: due.get(id) ?? 0,
      },
    ]),
  )
}

async function filtersOf(
  trx: Knex.Transaction,
  pondIds: readonly PondId[],
): Promise<Map<PondId, NonNullable<PondState['filter']>>> {
  const rows = await trx('designs as d')
    .whereIn('d.pond_id', pondIds)
    .distinctOn('d.pond_id')
    .orderByRaw(`d.pond_id, ${STATE_RANK}, d.number desc`)
    .select('d.pond_id', 'd.number', 'd.name', 'd.state')
  return new Map(rows.map((d) => [d.pond_id, { number: d.number, name: d.name, state: d.state }]))
}

async function countsOf(query: Knex.QueryBuilder): Promise<Map<PondId, number>> {
  const rows: { pond_id: PondId; count: string | number }[] = await query
  return new Map(rows.map((r) => [r.pond_id, Number(r.count)]))
}

/** The first of some visits for each pond, by day. */
async function visitsBy(
  trx: Knex.Transaction,
  pondIds: readonly PondId[],
  which: (query: Knex.QueryBuilder) => Knex.QueryBuilder,
  order: 'asc' | 'desc',
): Promise<Map<PondId, StateVisit>> {
  const rows: { pond_id: PondId; id: VisitId; job_name: string; day: string }[] = await which(
    trx('visits')
      .whereIn('pond_id', pondIds)
      .distinctOn('pond_id')
      .orderBy(['pond_id', { column: 'day', order }, { column: 'start_time', order }])
      .select('pond_id', 'id', 'job_name', 'day'),
  )
  return new Map(rows.map((r) => [r.pond_id, { id: r.id, jobName: r.job_name, day: r.day }]))
}
