import type { Knex } from 'knex'
import { VISIT_PLANNING } from '@/core/visits/types'
import { plantSpecies } from '@/core/plants/species'
import type { SiteInput } from '@/domain/customers/customer'
import { OwnRules } from '@/domain/house-rules/house-rules'
import { ProblemError } from '@/domain/shared/problems'
import { ServicePlan } from '@/domain/schedule/service-plan'
import type { CrewId, FirmId, PondId, SiteId, VisitId } from '@/domain/shared/ids'
import type { SeasonFrom } from '@/core/season/season-year'
import type { PondWindows } from '@/domain/season/season-dates'
import type { VisitState } from '@/domain/visits/visit'
import { said } from '@/domain/shared/said'

export interface PlanningWindow {
  readonly job: string
  readonly kind: string
  readonly earliest: string
  readonly best: string
  readonly latest: string
  readonly likelihood: readonly number[]
}

/** What planning reads of a pond: where it is, what was agreed, when its windows are. */
export interface PlanningPond {
  readonly pondId: PondId
  readonly siteId: SiteId
  readonly name: string
  readonly siteName: string
  readonly customer: { readonly name: string; readonly email: string; readonly phone: string }
  readonly town: string
  readonly areaM2: number
  readonly lat: number | null
  readonly lon: number | null
  readonly opens: string
  readonly closes: string
  readonly closedDays: readonly string[]
  readonly ownRules: OwnRules
  readonly lines: ServicePlan
  readonly blackouts: readonly { readonly from: string; readonly to: string }[]
  readonly schoolHolidays: SiteInput['schoolHolidays']
  /** Expected water of the 52 weeks of any year, °C; null while no season is known. */
  readonly weeklyC: readonly number[] | null
  /** Whether something that takes over is planted here. */
  readonly aggressivePlants: boolean
  /** The day on which anything was first agreed. */
  readonly since: string | null
  /** Month with whose first its season year begins. */
  readonly seasonFrom: SeasonFrom
  /** With the share of years that allow the job on each of 365 days. */
  readonly windows: PondWindows<PlanningWindow>
}

/** All ponds, or only some. */
export async function listPlanningPonds(trx: Knex.Transaction, only?: readonly PondId[]): Promise<PlanningPond[]> {
  const query = trx('ponds as p')
    .join('sites as s', 's.id', 'p.site_id')
    .join('customers as c', 'c.id', 's.customer_id')
    .leftJoin('service_plans as a', 'a.pond_id', 'p.id')
    .leftJoin('pond_seasons as q', 'q.pond_id', 'p.id')
    .select(
      'p.id',
      'p.site_id',
      'p.name',
      'p.area_m2',
      'p.own_rules',
      's.name as site_name',
      'c.name as customer_name',
      'c.email',
      'c.phone',
      's.town',
      's.lat',
      's.lon',
      's.opens',
      's.closes',
      's.closed_days',
      's.blackouts',
      's.school_holidays',
      'q.weekly_c',
      'a.lines',
      'a.since',
    )
    .select(
      trx.raw(`q.season->'windows' as windows, q.live->'windows' as live_windows, q.live_year, q.season_from,
      (select jsonb_agg(patch->>'species') from (select coalesce(d.built_bed, d.bed) as bed from designs d where d.pond_id = p.id order by d.number desc limit 1) newest,
       jsonb_array_elements(newest.bed->'planting') patch) as planted,
      (select jsonb_agg(g.species) from plant_patches g where g.pond_id = p.id) as growing`),
    )
    .orderBy(['s.name', 'p.name'])
  if (only) query.whereIn('p.id', only)
  return (await query).map((r) => ({
    pondId: r.id,
    siteId: r.site_id,
    name: r.name,
    siteName: r.site_name,
    customer: { name: r.customer_name, email: r.email, phone: r.phone },
    town: r.town,
    areaM2: r.area_m2,
    ownRules: OwnRules.parse(r.own_rules),
    lat: r.lat,
    lon: r.lon,
    opens: r.opens,
    closes: r.closes,
    closedDays: r.closed_days,
    blackouts: r.blackouts,
    schoolHolidays: r.school_holidays,
    weeklyC: r.weekly_c ?? null,
    seasonFrom: r.season_from ?? 1,
    // what was written down of the pond itself counts before what a design meant to plant
    aggressivePlants: (r.growing ?? r.planted ?? []).some((key: string) => plantSpecies(key)?.aggressiveness === 3),
    lines: r.lines ? ServicePlan.parse(r.lines) : [],
    since: r.since ?? null,
    windows: { anyYear: r.windows ?? [], live: r.live_year ? { year: r.live_year, windows: r.live_windows } : null },
  }))
}

export interface PlanningVisit {
  readonly id: VisitId
  readonly pondId: PondId
  readonly siteName: string
  readonly crewId: CrewId
  readonly state: VisitState
  readonly day: string
  readonly startTime: string
  readonly plannedMinutes: number
  /** Minutes kept free after it. */
  readonly spareMin: number
  readonly job: string
  readonly jobName: string
  /** Other jobs and tasks of the same visit. */
  readonly also: readonly string[]
  readonly taskIds: readonly string[]
  /** Holding tanks that its fish need, m³. */
  readonly tankM3: number
  readonly locked: boolean
  readonly version: number
  /** The first day of the same piece of work, where this is its second. */
  readonly legOf: VisitId | null
  readonly startedAt: string | null
}

export async function listPlanningVisits(trx: Knex.Transaction, from: string): Promise<PlanningVisit[]> {
  const rows = await trx('visits as v')
    .join('ponds as p', 'p.id', 'v.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .where('v.day', '>=', from)
    .whereNotIn('v.state', ['cancelled', 'given-up'])
    .select(
      'v.id',
      'pond_id',
      's.name as site_name',
      'crew_id',
      'v.state',
      'day',
      'start_time',
      'planned_minutes',
      'spare_min',
      'job_key',
      'job_name',
      'also',
      'tasks',
    )
    .select(
      'v.locked',
      'v.version',
      'v.leg_of',
      'v.started_at',
      trx.raw(`(v.quantities->'holding'->>'volumeM3')::float as tank_m3`),
    )
    .orderBy(['day', 'start_time'])
  return rows.map((r) => ({
    id: r.id,
    pondId: r.pond_id,
    siteName: r.site_name,
    crewId: r.crew_id,
    state: r.state,
    day: r.day,
    startTime: r.start_time,
    plannedMinutes: r.planned_minutes,
    spareMin: r.spare_min,
    job: r.job_key,
    jobName: r.job_name,
    also: r.also,
    taskIds: r.tasks.map((task: { id: string }) => task.id),
    tankM3: VISIT_PLANNING[r.job_key]?.kit.includes('tank') ? (r.tank_m3 ?? 0) : 0,
    locked: r.locked,
    version: r.version,
    legOf: r.leg_of,
    startedAt: r.started_at?.toISOString() ?? null,
  }))
}

export interface KeptServicePlan {
  readonly lines: ServicePlan
  /** 0 while nothing has been agreed. */
  readonly version: number
  /** Month with whose first the pond's season year begins. */
  readonly seasonFrom: SeasonFrom
}

export async function findServicePlan(trx: Knex.Transaction, pondId: PondId): Promise<KeptServicePlan> {
  const row = await trx('service_plans').where({ pond_id: pondId }).first()
  const season = await trx('pond_seasons').where({ pond_id: pondId }).first('season_from')
  const seasonFrom = season?.season_from ?? 1
  return row
    ? { lines: ServicePlan.parse(row.lines), version: row.version, seasonFrom }
    : { lines: [], version: 0, seasonFrom }
}

/** Ponds whose customers have agreed to work, but not to this: nobody is asked to plan it there. */
export async function listPondsWithout(trx: Knex.Transaction, jobKey: string): Promise<Set<PondId>> {
  const ids: PondId[] = await trx('service_plans')
    .whereRaw('jsonb_array_length(lines) > 0')
    .whereRaw('not lines @> ?::jsonb', [JSON.stringify([{ job: jobKey }])])
    .pluck('pond_id')
  return new Set(ids)
}

/** @throws {ProblemError} 'conflict' when someone else saved first */
export async function storeServicePlan(
  trx: Knex.Transaction,
  firmId: FirmId,
  pondId: PondId,
  version: number,
  lines: ServicePlan,
): Promise<void> {
  const row = { pond_id: pondId, firm_id: firmId, lines: JSON.stringify(lines) }
  // a first plan is written unless another was first; then the usual conflict answers
  if (
    version === 0 &&
    (await trx('service_plans').insert(row).onConflict('pond_id').ignore().returning('pond_id')).length > 0
  )
    return
  const changed = await trx('service_plans')
    .where({ pond_id: pondId, version })
    .update({ lines: row.lines, version: version + 1 })
  if (changed === 0)
    throw new ProblemError({
      kind: 'conflict',
      message: said('schedule.problems.someoneElseSavedServicePlan'),
      current: await findServicePlan(trx, pondId),
    })
}
