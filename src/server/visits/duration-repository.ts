import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { TimedVisit } from '@/core/visits/learn-duration'
import type { FirmId } from '@/domain/shared/ids'
import type { VisitAsPlanned } from '@/domain/trust/trust'

/** So many of the newest visits are learnt from: how crews worked long ago says little. @source house default */
const MOST_VISITS = 800

/** Finished visits with what they were estimated at before anything learnt, and took, since each job's last reset. */
export async function listTimedVisits(trx: Knex.Transaction): Promise<(TimedVisit & { readonly pondName: string })[]> {
  const rows = await trx('visits as v')
    .join('ponds as p', 'p.id', 'v.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .leftJoin('duration_resets as r', 'r.job_key', 'v.job_key')
    .where('v.state', 'done')
    // a visit for two jobs tells nothing of either
    .whereRaw(`v.also = '[]'::jsonb`)
    .whereRaw('v.finished_at > v.started_at')
    .whereRaw('(r."from" is null or v.finished_at > r."from")')
    .where('v.hands_min', '>', 0)
    .orderBy('v.finished_at', 'desc')
    .limit(MOST_VISITS)
    .select('v.job_key', 'v.pond_id', 'v.crew_id', 'v.hands_min', 'v.machine_min')
    .select('s.name as site_name', 'p.name as pond_name')
    .select(trx.raw('extract(epoch from v.finished_at - v.started_at)::double precision / 60 as took_min'))
  return rows.map((r) => ({
    job: r.job_key,
    pondId: r.pond_id,
    crewId: r.crew_id,
    pondName: `${r.site_name}: ${r.pond_name}`,
    handsMin: r.hands_min,
    machineMin: r.machine_min,
    tookMin: r.took_min,
  }))
}

/** Visits that are over since a day, beside what was said of their length when they were planned. */
export async function listVisitsAsPlanned(trx: Knex.Transaction, since: string): Promise<VisitAsPlanned[]> {
  const rows = await trx('visits')
    .where('state', 'done')
    .where('day', '>=', since)
    .whereRaw('finished_at > started_at')
    .whereNotNull('low_min')
    .select<{ job_key: string; planned_minutes: number; low_min: number; high_min: number; took_min: number }[]>(
      'job_key',
      'planned_minutes',
      'low_min',
      'high_min',
      trx.raw('extract(epoch from finished_at - started_at)::double precision / 60 as took_min'),
    )
  return rows.map((r) => ({
    job: r.job_key,
    plannedMin: r.planned_minutes,
    lowMin: r.low_min,
    highMin: r.high_min,
    tookMin: r.took_min,
  }))
}

export async function resetDurations(trx: Knex.Transaction, firmId: FirmId, job: string): Promise<void> {
  await trx('duration_resets')
    .insert({ id: randomUUID(), firm_id: firmId, job_key: job, from: trx.fn.now() })
    .onConflict(['firm_id', 'job_key'])
    .merge({ from: trx.fn.now() })
}
