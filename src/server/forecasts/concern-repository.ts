import type { Knex } from 'knex'
import type { PondId } from '@/domain/shared/ids'
import type { ReadingKindName, WaterBand } from '@/core/water/readings'
import { verdictOfLatest } from '@/core/water/verdict'

export interface Concern {
  readonly pondId: PondId
  readonly pondName: string
  readonly siteName: string
  readonly kind: ReadingKindName
  readonly value: number
  readonly band: WaterBand
  /** Of ammonia: its toxic share, mg/L; null where pH or temperature is missing. */
  readonly nh3MgL: number | null
  /** What to test for a verdict on ammonia that does not go by the total alone. */
  readonly missing: readonly ReadingKindName[]
  readonly takenAt: string
}

const RANK: Readonly<Record<WaterBand, number>> = { emergency: 3, act: 2, watch: 1, fine: 0 }
/** Older tests no longer say how the water is. */
const RECENT_DAYS = 45

interface LatestTest {
  readonly id: string
  readonly pondId: PondId
  readonly kind: ReadingKindName
  readonly value: number
  readonly belowStep: boolean
  readonly takenAt: string
}

/**
 * What the latest tests of each pond come to; a pond without a recent test has none.
 * @param pondIds all ponds where left out
 */
export async function latestVerdicts(
  trx: Knex.Transaction,
  pondIds?: readonly PondId[],
): Promise<Omit<Concern, 'pondName' | 'siteName'>[]> {
  const all = trx('readings')
    .where('taken_at', '>', trx.raw(`now() - make_interval(days => ${RECENT_DAYS})`))
    .distinctOn('pond_id', 'kind')
    .select('id', 'pond_id', 'kind', 'value', 'below_step', 'taken_at')
    .orderBy(['pond_id', 'kind', { column: 'taken_at', order: 'desc' }])
  const byPond = new Map<PondId, LatestTest[]>()
  for (const r of await (pondIds ? all.whereIn('pond_id', pondIds) : all)) {
    const test = {
      id: r.id,
      pondId: r.pond_id,
      kind: r.kind,
      value: r.value,
      belowStep: r.below_step,
      takenAt: r.taken_at.toISOString(),
    }
    byPond.set(test.pondId, [...(byPond.get(test.pondId) ?? []), test])
  }
  return [...byPond.values()].map(worstOf)
}

/**
 * Ponds whose latest tests are out of band, worst first; one line per pond.
 * @returns the worst `limit` of them, and how many there are
 */
export async function latestConcerns(
  trx: Knex.Transaction,
  limit: number,
): Promise<{ shown: Concern[]; count: number }> {
  // every pond's latest tests are judged, but names are fetched only for those shown
  const found = (await latestVerdicts(trx))
    .filter(({ band }) => band !== 'fine')
    .sort((a, b) => RANK[b.band] - RANK[a.band])
  const shown = found.slice(0, limit)
  const names = await trx('ponds as p')
    .join('sites as s', 's.id', 'p.site_id')
    .whereIn(
      'p.id',
      shown.map((c) => c.pondId),
    )
    .select('p.id', 'p.name as pond_name', 's.name as site_name')
  const nameOf = new Map(names.map((n) => [n.id as PondId, n]))
  return {
    shown: shown.flatMap((c) => {
      const name = nameOf.get(c.pondId)
      return name ? [{ ...c, pondName: name.pond_name, siteName: name.site_name }] : []
    }),
    count: found.length,
  }
}

/** The reading that speaks worst of a pond. */
function worstOf(tests: readonly LatestTest[]): Omit<Concern, 'pondName' | 'siteName'> {
  const verdict = verdictOfLatest(tests)
  const bandOf = (kind: ReadingKindName): WaterBand => verdict.bands[kind] ?? 'fine'
  const worst = tests.reduce((a, b) => (RANK[bandOf(b.kind)] > RANK[bandOf(a.kind)] ? b : a))
  const band = bandOf(worst.kind)
  const ammonia =
    worst.kind === 'tan' ? { nh3MgL: verdict.nh3MgL, missing: verdict.missing } : { nh3MgL: null, missing: [] }
  return { pondId: worst.pondId, kind: worst.kind, value: worst.value, band, takenAt: worst.takenAt, ...ammonia }
}
