import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { StepFigure } from '@/core/visits/figures'
import type { CrewId, FirmId, PondId, SiteId, VisitId } from '@/domain/shared/ids'
import type { Entry, Visit, VisitInContext, VisitState } from '@/domain/visits/visit'
import { updateVersioned } from '@/server/platform/db/versioned-update'
import type { VisitTypeKey } from '@/core/visits/visit-type-keys'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    visits: {
      job_key: VisitTypeKey
      state: VisitState
      job: Visit['job']
      quantities: Visit['quantities']
      duration: Visit['duration']
      also: Visit['also']
      tasks: Visit['tasks']
      ending: Visit['ending']
    }
  }
}

export async function insertVisit(
  trx: Knex.Transaction,
  firmId: FirmId,
  visit: Omit<Visit, 'siteId' | 'startedAt' | 'finishedAt' | 'ending' | 'endingReason' | 'version'>,
): Promise<void> {
  await trx('visits').insert({
    id: visit.id,
    firm_id: firmId,
    pond_id: visit.pondId,
    crew_id: visit.crewId,
    state: visit.state,
    day: visit.day,
    start_time: visit.startTime,
    planned_minutes: visit.plannedMinutes,
    job_key: visit.job.key,
    job_name: visit.job.name,
    job: JSON.stringify(visit.job),
    quantities: JSON.stringify(visit.quantities),
    duration: JSON.stringify(visit.duration),
    note: visit.note,
    also: JSON.stringify(visit.also),
    tasks: JSON.stringify(visit.tasks),
    learnt_factor: visit.learntFactor,
    hands_min: visit.estimate.handsMin,
    machine_min: visit.estimate.machineMin,
    spare_min: visit.estimate.spareMin,
    low_min: visit.estimate.rangeMin?.[0] ?? null,
    high_min: visit.estimate.rangeMin?.[1] ?? null,
    leg_of: visit.legOf ?? null,
  })
}

const iso = (value: Date | null): string | null => value?.toISOString() ?? null

/** A visit's row with what its pond, site, customer and crew say. */
type VisitRow = RowOf<'visits'> &
  Record<'pond_name' | 'site_name' | 'town' | 'address' | 'access_notes' | 'customer_name' | 'crew_name', string> & {
    site_id: SiteId
  }

const toVisit = (r: VisitRow): VisitInContext => ({
  id: r.id,
  legOf: r.leg_of,
  pondId: r.pond_id,
  siteId: r.site_id,
  crewId: r.crew_id,
  state: r.state,
  day: r.day,
  startTime: r.start_time,
  plannedMinutes: r.planned_minutes,
  job: r.job,
  quantities: r.quantities,
  duration: r.duration,
  note: r.note,
  also: r.also,
  tasks: r.tasks,
  learntFactor: r.learnt_factor,
  estimate: {
    handsMin: r.hands_min,
    machineMin: r.machine_min,
    spareMin: r.spare_min,
    rangeMin: r.low_min === null || r.high_min === null ? null : [r.low_min, r.high_min],
  },
  startedAt: iso(r.started_at),
  finishedAt: iso(r.finished_at),
  ending: r.ending,
  endingReason: r.ending_reason,
  version: r.version,
  pondName: r.pond_name,
  siteName: r.site_name,
  town: r.town,
  address: r.address,
  accessNotes: r.access_notes,
  customerName: r.customer_name,
  crewName: r.crew_name,
})

const withContext = (trx: Knex.Transaction) =>
  trx('visits as v')
    .join('ponds as p', 'p.id', 'v.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .join('customers as c', 'c.id', 's.customer_id')
    .join('crews as w', 'w.id', 'v.crew_id')
    .select(
      'v.*',
      'p.site_id',
      'p.name as pond_name',
      's.name as site_name',
      's.town',
      's.address',
      's.access_notes',
      'c.name as customer_name',
      'w.name as crew_name',
    )

export async function findVisit(trx: Knex.Transaction, id: VisitId): Promise<VisitInContext | undefined> {
  const row = await withContext(trx).where('v.id', id).first()
  return row && toVisit(row)
}

export async function listVisits(
  trx: Knex.Transaction,
  filter: { from?: string; to?: string; crewId?: CrewId; pondId?: PondId },
): Promise<VisitInContext[]> {
  const query = withContext(trx).whereNot('v.state', 'cancelled').orderBy(['v.day', 'v.start_time'])
  if (filter.from) query.where('v.day', '>=', filter.from)
  if (filter.to) query.where('v.day', '<=', filter.to)
  if (filter.crewId) query.where('v.crew_id', filter.crewId)
  if (filter.pondId) query.where('v.pond_id', filter.pondId)
  return (await query).map(toVisit)
}

/** Visits that are under way, of whichever day. */
export async function listOpenVisits(trx: Knex.Transaction, crewId?: CrewId): Promise<VisitInContext[]> {
  const query = withContext(trx).where('v.state', 'under-way').orderBy(['v.day', 'v.start_time'])
  if (crewId) query.where('v.crew_id', crewId)
  return (await query).map(toVisit)
}

/** The second day of a piece of work, given its first. */
export async function findSecondDay(
  trx: Knex.Transaction,
  first: VisitId,
  { cancelled = false } = {},
): Promise<VisitInContext | undefined> {
  const row = await withContext(trx)
    .where('v.leg_of', first)
    .where('v.state', cancelled ? '=' : '<>', 'cancelled')
    .first()
  return row && toVisit(row)
}

export interface VisitChanges {
  readonly state?: VisitState
  readonly day?: string
  readonly startTime?: string
  readonly crewId?: CrewId
  readonly locked?: boolean
  readonly plannedMinutes?: number
  readonly estimate?: Visit['estimate']
  readonly tasks?: Visit['tasks']
  readonly job?: Visit['job']
  readonly startedAt?: string
  readonly finishedAt?: string
  readonly ending?: Visit['ending']
  readonly endingReason?: string
}

export async function changeVisit(
  trx: Knex.Transaction,
  id: VisitId,
  version: number,
  changes: VisitChanges,
): Promise<void> {
  const row = Object.fromEntries(
    Object.entries({
      state: changes.state,
      day: changes.day,
      start_time: changes.startTime,
      crew_id: changes.crewId,
      locked: changes.locked,
      planned_minutes: changes.plannedMinutes,
      hands_min: changes.estimate?.handsMin,
      machine_min: changes.estimate?.machineMin,
      spare_min: changes.estimate?.spareMin,
      tasks: changes.tasks && JSON.stringify(changes.tasks),
      job: changes.job && JSON.stringify(changes.job),
      started_at: changes.startedAt,
      finished_at: changes.finishedAt,
      ending: changes.ending,
      ending_reason: changes.endingReason,
    }).filter(([, value]) => value !== undefined),
  )
  await updateVersioned(trx, 'visits', id, version, { ...row, changed_at: trx.fn.now() }, async () =>
    findVisit(trx, id),
  )
}

/** Locks a visit, so that two devices log to it one after the other. */
export async function lockVisit(trx: Knex.Transaction, id: VisitId): Promise<void> {
  await trx('visits').where({ id }).forUpdate().first('id')
}

/** The last time that a figure was written down at a pond, on another visit than this one. */
export async function lastFigure(
  trx: Knex.Transaction,
  pondId: PondId,
  figure: StepFigure,
  notOn: VisitId | null,
): Promise<{ value: number; at: string } | null> {
  const row = await trx('visit_entries as e')
    .join('visits as v', 'v.id', 'e.visit_id')
    .where('v.pond_id', pondId)
    .modify((q) => (notOn === null ? q : q.whereNot('v.id', notOn)))
    .whereRaw(`(e.entry->'answer'->'figures'->>?)::float > 0`, [figure])
    .orderByRaw(`e.entry->>'at' desc`)
    .first(trx.raw(`(e.entry->'answer'->'figures'->>?)::float as value, e.entry->>'at' as at`, [figure]))
  return row ?? null
}

/** Doses given at some ponds since a moment, with the visit they were given on; of each step its last answer. */
export async function listDosesSince(
  trx: Knex.Transaction,
  pondIds: readonly PondId[],
  since: string,
): Promise<{ pondId: PondId; visitId: VisitId; productKey: string; amount: number; at: string }[]> {
  const { rows } = await trx.raw(
    `select last.pond_id, last.visit_id, last.at, dose->>'productKey' as product_key,
            (dose->>'amount')::float as amount
     from (select distinct on (e.visit_id, e.entry->>'stepKey') v.pond_id, e.visit_id, e.entry->>'at' as at, e.entry->'answer'->'doses' as doses
           from visit_entries e join visits v on v.id = e.visit_id
           where v.pond_id = any(?) and e.entry->>'kind' in ('done', 'skipped') and (e.entry->>'at')::timestamptz >= ?
           order by e.visit_id, e.entry->>'stepKey', (e.entry->>'at')::timestamptz desc) last,
          jsonb_array_elements(last.doses) dose
     where jsonb_typeof(last.doses) = 'array' and (dose->>'amount')::float > 0`,
    [[...pondIds] as string[], since],
  )
  return rows.map((r: { pond_id: PondId; visit_id: VisitId; product_key: string; amount: number; at: string }) => ({
    pondId: r.pond_id,
    visitId: r.visit_id,
    productKey: r.product_key,
    amount: r.amount,
    at: r.at,
  }))
}

/** A figure summed over a pond's visits since a day, each step's last answer counting. */
export async function figureThisYear(
  trx: Knex.Transaction,
  pondId: PondId,
  figure: StepFigure,
  since: string,
): Promise<number> {
  const { rows } = await trx.raw(
    `select coalesce(sum(value), 0)::float as sum from (
       select distinct on (e.visit_id, e.entry->>'stepKey') (e.entry->'answer'->'figures'->>?)::float as value
       from visit_entries e join visits v on v.id = e.visit_id
       where v.pond_id = ? and v.day >= ? and e.entry->>'kind' in ('done', 'skipped')
       order by e.visit_id, e.entry->>'stepKey', e.entry->>'at' desc) last`,
    [figure, pondId, since],
  )
  return rows[0].sum
}

/** The logs of visits, each in the order in which it came in. */
export async function listEntriesOf(
  trx: Knex.Transaction,
  visitIds: readonly VisitId[],
): Promise<Map<VisitId, Entry[]>> {
  const rows = await trx('visit_entries as e')
    .join('users as u', 'u.id', 'e.by_id')
    .whereIn('e.visit_id', visitIds)
    .select('e.visit_id', 'e.entry', 'e.by_id', 'u.name as by_name', 'e.received_at', 'e.disputed')
    .orderBy('e.received_at')
  const logs = new Map<VisitId, Entry[]>(visitIds.map((id) => [id, []]))
  for (const r of rows)
    logs.get(r.visit_id)!.push({
      ...r.entry,
      byId: r.by_id,
      byName: r.by_name,
      receivedAt: r.received_at.toISOString(),
      ...(r.disputed ? { disputed: r.disputed } : {}),
    })
  return logs
}

export const listEntries = async (trx: Knex.Transaction, visitId: VisitId): Promise<Entry[]> =>
  (await listEntriesOf(trx, [visitId])).get(visitId)!

/** Finished visits of a pond from a day on: what was done when. */
export async function listDoneVisitDays(
  trx: Knex.Transaction,
  pondId: PondId,
  from: string,
): Promise<{ day: string; jobKey: VisitTypeKey; skipped: string[] }[]> {
  const rows = await trx('visits')
    .where({ pond_id: pondId, state: 'done' })
    .where('day', '>=', from)
    .orderBy('day')
    .select('id', 'day', 'job_key')
  const last = await trx
    .from('visit_entries')
    .whereIn(
      'visit_id',
      rows.map((r) => r.id),
    )
    .whereRaw(`entry->>'kind' in ('done', 'skipped')`)
    .distinctOn('visit_id', 'step')
    .orderByRaw(`visit_id, step, (entry->>'at')::timestamptz desc`)
    .select<{ visit_id: VisitId; step: string; kind: string }[]>(
      'visit_id',
      trx.raw(`entry->>'stepKey' as step`),
      trx.raw(`entry->>'kind' as kind`),
    )
  const skipped = (id: VisitId) => last.filter((e) => e.visit_id === id && e.kind === 'skipped').map((e) => e.step)
  return rows.map((r) => ({ day: r.day, jobKey: r.job_key, skipped: skipped(r.id) }))
}
