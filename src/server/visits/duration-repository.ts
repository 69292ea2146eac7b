import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { TimedVisit } from '@/core/visits/learn-duration'
import type { FirmId } from '@/domain/shared/ids'

/**
 * Finished visits with what handwork was estimated at without anything learnt, and took, since each job's last reset.
 * Pumps and hoses take
 * their time whoever is there; a visit that was over sooner than they could be teaches nothing.
 */
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
      trx.raw(`v.planned_minutes, v.learnt_factor, extract(epoch from v.finished_at - v.started_at)::double precision / 60 as took_min,
        (select coalesce(sum((part->>'minutes')::float), 0) from jsonb_array_elements(v.duration->'parts') part where part->>'by' = 'machine') as machine_min`),
    )
  return rows.flatMap((r) => {
    const [people, took] = [r.planned_minutes - r.machine_min, r.took_min - r.machine_min]
    if (people <= 0 || took <= 0) return []
    return [{ ...known(r), estimateMin: people / r.learnt_factor, actualMin: took }]
  })
}

const known = (r: {
  readonly job_key: string
  readonly pond_id: string
  readonly site_name: string
  readonly pond_name: string
}) => ({
  job: r.job_key,
  pondId: r.pond_id,
  pondName: `${r.site_name}: ${r.pond_name}`,
})

export async function resetDurations(trx: Knex.Transaction, firmId: FirmId, job: string): Promise<void> {
  await trx('duration_resets')
    .insert({ id: randomUUID(), firm_id: firmId, job_key: job, from: trx.fn.now() })
    .onConflict(['firm_id', 'job_key'])
    .merge({ from: trx.fn.now() })
}
