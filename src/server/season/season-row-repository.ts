import type { Knex } from 'knex'
import type { PondId, VisitId } from '@/domain/shared/ids'
import type { WindowBrief } from './season-repository'

/** A pond's ribbon: one year's water and one job's window, as the season view needs them for thousands of ponds. */
export interface SeasonRowRecord {
  readonly id: PondId
  readonly name: string
  readonly siteName: string
  readonly town: string
  readonly customerName: string
  /** Water of 52 weeks, °C. */
  readonly weeklyC: readonly number[] | null
  readonly anyYear: WindowBrief | null
  readonly live: WindowBrief | null
  readonly liveYear: number | null
  /** Whether the job is agreed for this pond. */
  readonly agreed: boolean
}

/** A pond's row as the query below answers it. */
interface SeasonTableRow {
  readonly id: PondId
  readonly name: string
  readonly site_name: string
  readonly town: string
  readonly customer_name: string
  readonly weekly_c: readonly number[] | null
  readonly any_year: WindowBrief | null
  readonly live: WindowBrief | null
  readonly live_year: number | null
  readonly agreed: boolean
}

export async function listSeasonRows(trx: Knex.Transaction, year: number, job: string): Promise<SeasonRowRecord[]> {
  const { rows } = await trx.raw(
    `select p.id, p.name, s.name as site_name, s.town, c.name as customer_name,
            case when q.live_year = ? then q.live_weekly_c else q.weekly_c end as weekly_c,
            q.live_year,
            (select w from jsonb_array_elements(q.windows) w where w->>'job' = ?) as any_year,
            (select w from jsonb_array_elements(q.live_windows) w where w->>'job' = ?) as live,
            coalesce(a.lines @> jsonb_build_array(jsonb_build_object('job', ?::text)), false) as agreed
     from ponds p join sites s on s.id = p.site_id join customers c on c.id = s.customer_id
     left join pond_seasons q on q.pond_id = p.id left join service_plans a on a.pond_id = p.id
     order by s.name, p.name`,
    [year, job, job, job],
  )
  return rows.map((r: SeasonTableRow) => ({
    id: r.id,
    name: r.name,
    siteName: r.site_name,
    town: r.town,
    customerName: r.customer_name,
    weeklyC: r.weekly_c,
    anyYear: r.any_year,
    live: r.live,
    liveYear: r.live_year,
    agreed: r.agreed,
  }))
}

/** A visit as its pond's ribbon shows it. */
export interface SeasonVisit {
  readonly id: VisitId
  readonly day: string
  readonly state: 'planned' | 'under-way' | 'done'
  readonly jobKey: string
  readonly jobName: string
  readonly crewName: string
  readonly promised: boolean
}

/** What is planned, under way and done between two days, by pond. */
export async function listSeasonVisits(
  trx: Knex.Transaction,
  from: string,
  to: string,
): Promise<ReadonlyMap<PondId, readonly SeasonVisit[]>> {
  const rows = await trx('visits')
    .leftJoin('crews', 'crews.id', 'visits.crew_id')
    .whereBetween('visits.day', [from, to])
    .whereIn('visits.state', ['planned', 'under-way', 'done'])
    .orderBy('visits.day')
    .select(
      'visits.id',
      'visits.pond_id',
      'visits.day',
      'visits.state',
      'visits.job_key',
      'visits.job_name',
      'visits.locked',
      'crews.name as crew_name',
    )
  const byPond = new Map<PondId, SeasonVisit[]>()
  for (const r of rows) {
    const visit: SeasonVisit = {
      id: r.id,
      day: r.day,
      state: r.state as SeasonVisit['state'],
      jobKey: r.job_key,
      jobName: r.job_name,
      crewName: r.crew_name ?? '',
      promised: r.locked,
    }
    const there = byPond.get(r.pond_id)
    if (there) there.push(visit)
    else byPond.set(r.pond_id, [visit])
  }
  return byPond
}
