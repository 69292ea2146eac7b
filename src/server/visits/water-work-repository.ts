import type { Knex } from 'knex'
import type { PondId, VisitId } from '@/domain/shared/ids'
import { WATER_FIGURES, type DatedWaterWork, type WaterWork } from '@/domain/water/water-record'

interface WorkRow {
  readonly visit_id: VisitId
  readonly day: string
  readonly doses: readonly { readonly name: string; readonly amount: number; readonly unit: string }[] | null
  readonly figures: Partial<Record<(typeof WATER_FIGURES)[number], number>> | null
}

/**
 * What was given to a pond's water, changed, topped up and flushed, oldest first; of each step its last answer.
 * @param timeZone the firm's, in which its days are counted
 */
export async function listWaterWork(
  trx: Knex.Transaction,
  pondId: PondId,
  timeZone: string,
): Promise<DatedWaterWork[]> {
  const { rows } = await trx.raw<{ rows: WorkRow[] }>(
    `select visit_id, ((entry->>'at')::timestamptz at time zone ?)::date::text as day,
            case when jsonb_typeof(entry->'answer'->'doses') = 'array' then entry->'answer'->'doses' end as doses,
            entry->'answer'->'figures' as figures
     from (select distinct on (e.visit_id, e.entry->>'stepKey') e.visit_id, e.entry
           from visit_entries e join visits v on v.id = e.visit_id
           where v.pond_id = ? and e.entry->>'kind' in ('done', 'skipped')
           order by e.visit_id, e.entry->>'stepKey', (e.entry->>'at')::timestamptz desc) last
     where entry->>'kind' = 'done'
     order by (entry->>'at')::timestamptz`,
    [timeZone, pondId],
  )
  return rows.flatMap(({ visit_id: visitId, day, doses, figures }) => {
    const work: WaterWork[] = [
      ...(doses ?? []).map(({ name, amount, unit }) => ({ code: 'dose' as const, name, amount, unit })),
      ...WATER_FIGURES.map((code) => ({ code, amount: figures?.[code] ?? 0 })),
    ]
    return work.filter(({ amount }) => amount > 0).map((each) => ({ day, visitId, work: each }))
  })
}
