import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { TimedVisit } from '@/core/jobs/learn-duration'
import type { FirmId } from '@/domain/ids'

/** Finished visits with what was estimated without anything learnt, since each job's last reset. */
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
    .where('v.planned_minutes', '>', 0)
    .select('v.job_key', 'v.pond_id', 's.name as site_name', 'p.name as pond_name')
    .select(
      trx.raw('v.planned_minutes / v.learnt_factor as estimate_min, extract(epoch from v.finished_at - v.started_at)::double precision / 60 as actual_min'),
    )
  return rows.map((r) => ({
    job: r.job_key,
    pondId: r.pond_id,
    estimateMin: r.estimate_min,
    actualMin: r.actual_min,
    pondName: `${r.site_name}: ${r.pond_name}`,
  }))
}

export async function resetDurations(trx: Knex.Transaction, firmId: FirmId, job: string): Promise<void> {
  await trx('duration_resets')
    .insert({ id: randomUUID(), firm_id: firmId, job_key: job, from: trx.fn.now() })
    .onConflict(['firm_id', 'job_key'])
    .merge({ from: trx.fn.now() })
}
