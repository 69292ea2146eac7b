import type { Knex } from 'knex'
import type { PondId } from '@/domain/ids'
import { readingBand, type ReadingKindName, type WaterBand } from '@/core/water/readings'

export interface Concern {
  readonly pondId: PondId
  readonly pondName: string
  readonly siteName: string
  readonly kind: ReadingKindName
  readonly value: number
  readonly band: WaterBand
  readonly takenAt: string
}

const RANK: Readonly<Record<WaterBand, number>> = { emergency: 3, act: 2, watch: 1, fine: 0 }
/** Older tests no longer say how the water is. */
const RECENT_DAYS = 45

/** Ponds whose latest tests are out of band, worst first; one line per pond. */
export async function latestConcerns(trx: Knex.Transaction, most: number): Promise<Concern[]> {
  const rows = await trx('readings as r')
    .join('ponds as p', 'p.id', 'r.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .where('r.taken_at', '>', trx.raw(`now() - make_interval(days => ${RECENT_DAYS})`))
    .distinctOn('r.pond_id', 'r.kind')
    .select('r.pond_id', 'r.kind', 'r.value', 'r.taken_at', 'p.name as pond_name', 's.name as site_name')
    .orderBy(['r.pond_id', 'r.kind', { column: 'r.taken_at', order: 'desc' }])
  const worst = new Map<PondId, Concern>()
  for (const r of rows) {
    const concern: Concern = {
      pondId: r.pond_id,
      pondName: r.pond_name,
      siteName: r.site_name,
      kind: r.kind,
      value: r.value,
      band: readingBand(r.kind, r.value),
      takenAt: r.taken_at.toISOString(),
    }
    const before = worst.get(concern.pondId)
    if (concern.band !== 'fine' && (!before || RANK[concern.band] > RANK[before.band])) worst.set(concern.pondId, concern)
  }
  return [...worst.values()].sort((a, b) => RANK[b.band] - RANK[a.band]).slice(0, most)
}
