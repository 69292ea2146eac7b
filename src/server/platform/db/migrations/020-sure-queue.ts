import type { Knex } from 'knex'
import { QUEUE_SCHEMA } from '@/server/platform/queue/queues'

/**
 * What waits in the queue for a row: jobs that are still to be taken, or that somebody has taken within the interval.
 */
const WAITING = (key: string) => `
  exists (select from ${QUEUE_SCHEMA}.job j where j.data->>'${key}' = r.id::text
          and (j.state in ('created', 'retry') or (j.state = 'active' and j.started_on > now() - older_than)))`

/**
 * A worker looks over all firms for what got lost between a row and its job: runs whose worker died, runs that wait
 * with no job
 * waiting for them, letters that are on their way for too long or have no job. It learns nothing but which they are.
 */
const LOST = (name: string, table: string, key: string, stuck: string) => `
create function ${name}(older_than interval) returns table (id uuid, firm_id uuid)
  language plpgsql stable security definer set search_path = public, pg_temp as
  $$ begin return query select r.id, r.firm_id from ${table} r
     where ${stuck} or (r.state = 'queued' and r.waits_since < now() - older_than and not ${WAITING(key)}); end $$;`

export async function up(knex: Knex): Promise<void> {
  for (const table of ['plan_runs', 'forecast_runs', 'notices'])
    await knex.schema.alterTable(table, (t) =>
      t.timestamp('waits_since', { useTz: true }).notNullable().defaultTo(knex.fn.now()),
    )
  await knex.schema.alterTable('notices', (t) => t.timestamp('claimed_at', { useTz: true }))
  await knex.raw('drop function door_stale_plan_runs(interval)')
  await knex.raw('drop function door_stale_forecast_runs(interval)')
  await knex.raw(
    LOST('door_lost_plan_runs', 'plan_runs', 'runId', `(r.state = 'running' and r.heartbeat < now() - older_than)`),
  )
  await knex.raw(
    LOST(
      'door_lost_forecast_runs',
      'forecast_runs',
      'runId',
      `(r.state = 'running' and r.heartbeat < now() - older_than)`,
    ),
  )
  await knex.raw(
    LOST(
      'door_lost_notices',
      'notices',
      'noticeId',
      `(r.state = 'sending' and coalesce(r.claimed_at, r.waits_since) < now() - older_than)`,
    ),
  )
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_lost_plan_runs, door_lost_forecast_runs, door_lost_notices')
  await knex.schema.alterTable('notices', (t) => t.dropColumn('claimed_at'))
  for (const table of ['plan_runs', 'forecast_runs', 'notices'])
    await knex.schema.alterTable(table, (t) => t.dropColumn('waits_since'))
}
