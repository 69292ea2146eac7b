import type { Knex } from 'knex'
import type { CrewId, CustomerId, FirmId, UserId } from '@/domain/shared/ids'
import type { FeedScope } from '@/domain/rounds/calendar-feed'
import type { CalendarVisit } from '@/server/rounds/calendar'
import { database } from '@/server/platform/db/connection'

export interface KeptFeed {
  readonly id: string
  readonly scope: FeedScope
  readonly crewId: CrewId | null
  readonly customerId: CustomerId | null
  readonly forName: string
  readonly madeAt: string
  readonly readAt: string | null
}

export async function insertFeed(
  trx: Knex.Transaction,
  firmId: FirmId,
  feed: {
    id: string
    tokenHash: string
    scope: FeedScope
    crewId: CrewId | null
    customerId: CustomerId | null
    madeBy: UserId
  },
): Promise<void> {
  await trx('calendar_feeds').insert({
    id: feed.id,
    firm_id: firmId,
    token_hash: feed.tokenHash,
    scope: feed.scope,
    crew_id: feed.crewId,
    customer_id: feed.customerId,
    made_by: feed.madeBy,
  })
}

export async function listFeeds(trx: Knex.Transaction): Promise<KeptFeed[]> {
  const rows = await trx('calendar_feeds as f')
    .leftJoin('crews as w', 'w.id', 'f.crew_id')
    .leftJoin('customers as c', 'c.id', 'f.customer_id')
    .whereNull('f.revoked_at')
    .select('f.*', 'w.name as crew_name', 'c.name as customer_name')
    .orderBy('f.created_at')
  return rows.map((r) => ({
    id: r.id,
    scope: r.scope,
    crewId: r.crew_id,
    customerId: r.customer_id,
    forName: r.crew_name ?? r.customer_name ?? '',
    madeAt: r.created_at.toISOString(),
    readAt: r.read_at?.toISOString() ?? null,
  }))
}

/** @returns false when there is no such feed, or it was revoked before */
export async function revokeFeed(trx: Knex.Transaction, id: string): Promise<boolean> {
  return (await trx('calendar_feeds').where({ id }).whereNull('revoked_at').update({ revoked_at: trx.fn.now() })) > 0
}

/** Whose feed a link opens; asked before any firm is known. */
export async function openFeed(
  tokenHash: string,
): Promise<{ firmId: FirmId; scope: FeedScope; crewId: CrewId | null; customerId: CustomerId | null } | undefined> {
  const { rows } = await database().raw('select * from door_calendar_feed(?)', [tokenHash])
  const row = rows[0]
  return row && { firmId: row.firm_id, scope: row.scope, crewId: row.crew_id, customerId: row.customer_id }
}

/** Visits for a calendar: called off ones too. What a customer's calendar need not know is left out by the caller. */
// eslint-disable-next-line max-lines-per-function -- one query and its row
export async function listCalendarVisits(
  trx: Knex.Transaction,
  filter: { from: string; crewId: CrewId | null; customerId: CustomerId | null },
): Promise<
  (CalendarVisit & {
    readonly crewName: string
    readonly accessNotes: string
    readonly siteName: string
    readonly jobName: string
    readonly phone: string
  })[]
> {
  const query = trx('visits as v')
    .join('ponds as p', 'p.id', 'v.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .join('customers as c', 'c.id', 's.customer_id')
    .join('crews as w', 'w.id', 'v.crew_id')
    .where('v.day', '>=', filter.from)
    .select(
      'v.id',
      'v.day',
      'v.start_time',
      'v.planned_minutes',
      'v.job_name',
      'v.state',
      'v.version',
      'v.changed_at',
      'v.note',
    )
    .select(
      'p.name as pond_name',
      's.name as site_name',
      's.address',
      's.town',
      's.access_notes',
      's.lat',
      's.lon',
      'c.phone',
      'w.name as crew_name',
    )
    .orderBy(['v.day', 'v.start_time'])
  if (filter.crewId) query.where('v.crew_id', filter.crewId)
  if (filter.customerId) query.where('c.id', filter.customerId)
  return (await query).map((r) => ({
    id: r.id,
    day: r.day,
    startTime: r.start_time,
    minutes: r.planned_minutes,
    title: `${r.job_name}: ${r.site_name}, ${r.pond_name}`,
    place: [r.address, r.town].filter(Boolean).join(', '),
    details: r.note,
    lat: r.lat,
    lon: r.lon,
    cancelled: r.state === 'cancelled',
    version: r.version,
    changedAt: r.changed_at.toISOString(),
    crewName: r.crew_name,
    accessNotes: r.access_notes,
    siteName: r.site_name,
    jobName: r.job_name,
    phone: r.phone,
  }))
}
