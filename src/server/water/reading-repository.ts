import type { ReadingKindName } from '@/core/water/readings'
import { READING_METHODS, type ReadingMethod } from '@/core/water/test-methods'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { LastReading } from '@/domain/field/field-pack'
import type { FirmId, PondId, UserId, VisitId } from '@/domain/shared/ids'
import type { Reading } from '@/domain/water/reading'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    readings: { kind: ReadingKindName; method: Reading['method'] }
  }
}

export type NewReading = Omit<Reading, 'byName'> & { readonly byId: UserId }

export async function insertReadings(
  trx: Knex.Transaction,
  firmId: FirmId,
  readings: readonly NewReading[],
): Promise<void> {
  if (readings.length === 0) return
  await trx('readings').insert(
    readings.map((r) => ({
      id: randomUUID(),
      firm_id: firmId,
      pond_id: r.pondId,
      visit_id: r.visitId,
      kind: r.kind,
      value: r.value,
      below_step: r.belowStep,
      method: r.method,
      taken_at: r.takenAt,
      by_id: r.byId,
    })),
  )
}

/** Readings of probes: one moment of one kind counts once, however often it is sent. @returns how many were new */
export async function insertProbeReadings(
  trx: Knex.Transaction,
  firmId: FirmId,
  readings: readonly Omit<NewReading, 'visitId' | 'method' | 'belowStep'>[],
): Promise<number> {
  if (readings.length === 0) return 0
  const rows = readings.map((r) => ({
    id: randomUUID(),
    firm_id: firmId,
    pond_id: r.pondId,
    visit_id: null,
    kind: r.kind,
    value: r.value,
    below_step: false,
    method: 'probe',
    taken_at: r.takenAt,
    by_id: r.byId,
  }))
  const { rows: kept } = await trx.raw('? on conflict do nothing returning id', [trx('readings').insert(rows)])
  return kept.length
}

/** Forgets what a visit had put on the pond, before its log is written to the pond again. */
export async function removeVisitReadings(trx: Knex.Transaction, visitId: VisitId): Promise<void> {
  await trx('readings').where({ visit_id: visitId }).delete()
}

/** Water temperatures of a pond since a day, oldest first, each on its calendar day in the firm's time zone. */
export async function listWaterTemps(
  trx: Knex.Transaction,
  pondId: PondId,
  since: string,
  timeZone: string,
): Promise<{ date: string; waterC: number }[]> {
  const rows = await trx('readings')
    .where({ pond_id: pondId, kind: 'waterTemp' })
    .where('taken_at', '>=', since)
    .groupBy('day')
    .orderBy('day')
    .select<{ day: string; value: number }[]>(
      trx.raw('(taken_at at time zone ?)::date::text as day', [timeZone]),
      trx.raw('avg(value) as value'),
    )
  return rows.map((r) => ({ date: r.day, waterC: r.value }))
}

/** Probes report four times an hour: their days are thinned, so that they do not crowd out what people tested. */
const PROBE_HOURLY_DAYS = 7

/**
 * A pond's readings, the newest first. Of probes one an hour for a week and one a day before it: the lowest oxygen,
 * else the last.
 */
export async function listReadings(trx: Knex.Transaction, pondId: PondId, limit = 2000): Promise<Reading[]> {
  const thinned = trx('readings')
    .where('pond_id', pondId)
    .distinctOn('kind', 'part')
    .select('*')
    .select(
      trx.raw(
        `case when method <> 'probe' or visit_id is not null then id::text
              when taken_at > now() - make_interval(days => ?) then date_trunc('hour', taken_at)::text
              else date_trunc('day', taken_at)::text end as part`,
        [PROBE_HOURLY_DAYS],
      ),
    )
    .orderByRaw(`kind, part, case when kind = 'dissolvedOxygen' then value else 0 end, taken_at desc`)
  const rows = await trx
    .from(thinned.as('r'))
    .join('users as u', 'u.id', 'r.by_id')
    .select('r.*', 'u.name as by_name')
    .orderBy('r.taken_at', 'desc')
    .limit(limit)
  return rows.map((r) => ({
    pondId: r.pond_id,
    visitId: r.visit_id,
    kind: r.kind,
    value: r.value,
    belowStep: r.below_step,
    method: r.method,
    takenAt: r.taken_at.toISOString(),
    byName: r.by_name,
  }))
}

/** The newest reading of each kind at some ponds. */
export async function listLastReadings(
  trx: Knex.Transaction,
  pondIds: readonly PondId[],
): Promise<Map<PondId, LastReading[]>> {
  const found = new Map<PondId, LastReading[]>(pondIds.map((id) => [id, []]))
  const rows = await trx('readings')
    .distinctOn('pond_id', 'kind')
    .whereIn('pond_id', pondIds)
    .orderBy([{ column: 'pond_id' }, { column: 'kind' }, { column: 'taken_at', order: 'desc' }])
    .select('pond_id', 'kind', 'value', 'below_step', 'taken_at')
  for (const r of rows)
    found
      .get(r.pond_id)!
      .push({ kind: r.kind, value: r.value, belowStep: r.below_step, takenAt: r.taken_at.toISOString() })
  return found
}

export interface DailyReading {
  readonly day: string
  readonly kind: ReadingKindName
  readonly value: number
  readonly method: ReadingMethod
  readonly belowStep: boolean
}

/** A reading that says not how it was made is taken for what most crews carry. */
const USUAL_METHOD: ReadingMethod = 'drops'

/**
 * One figure a day and kind in the firm's days: the mean of what was read, of oxygen the least; nothing found only
 * where no test of the day found any.
 */
export async function listDailyReadings(
  trx: Knex.Transaction,
  pondId: PondId,
  since: string,
  timeZone: string,
): Promise<DailyReading[]> {
  const rows = await trx('readings')
    .where('pond_id', pondId)
    .where('taken_at', '>=', since)
    .groupByRaw('1, 2')
    .orderByRaw('1, 2')
    .select<{ day: string; kind: ReadingKindName; value: number; method: string; below: boolean }[]>(
      trx.raw('(taken_at at time zone ?)::date::text as day', [timeZone]),
      'kind',
      trx.raw(`case when kind = 'dissolvedOxygen' then min(value) else avg(value) end as value`),
      trx.raw(`mode() within group (order by method) as method`),
      trx.raw('bool_and(below_step) as below'),
    )
  return rows.map((r) => ({
    day: r.day,
    kind: r.kind,
    value: r.value,
    method: READING_METHODS.find((method) => method === r.method) ?? USUAL_METHOD,
    belowStep: r.below,
  }))
}
