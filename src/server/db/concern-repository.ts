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
  // every pond's latest tests are judged, but names and times are fetched only for those shown
  const latest = await trx('readings')
    .where('taken_at', '>', trx.raw(`now() - make_interval(days => ${RECENT_DAYS})`))
    .distinctOn('pond_id', 'kind')
    .select('id', 'pond_id', 'kind', 'value')
    .orderBy(['pond_id', 'kind', { column: 'taken_at', order: 'desc' }])
  const worst = new Map<PondId, { id: string; band: WaterBand }>()
  for (const r of latest) {
    const band = readingBand(r.kind, r.value)
    const before = worst.get(r.pond_id)
    if (band !== 'fine' && (!before || RANK[band] > RANK[before.band])) worst.set(r.pond_id, { id: r.id, band })
  }
  const shown = [...worst.values()].sort((a, b) => RANK[b.band] - RANK[a.band]).slice(0, most)
  const rows = await trx('readings as r')
    .join('ponds as p', 'p.id', 'r.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .whereIn(
      'r.id',
      shown.map((s) => s.id),
    )
    .select('r.id', 'r.pond_id', 'r.kind', 'r.value', 'r.taken_at', 'p.name as pond_name', 's.name as site_name')
  return shown.flatMap(({ id, band }) => {
    const r = rows.find((row) => row.id === id)
    return r ? [{ pondId: r.pond_id, pondName: r.pond_name, siteName: r.site_name, kind: r.kind, value: r.value, band, takenAt: r.taken_at.toISOString() }] : []
  })
}
