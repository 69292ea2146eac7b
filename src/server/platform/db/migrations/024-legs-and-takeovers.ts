import type { PlanRunId } from '@/domain/shared/ids'
import type { Knex } from 'knex'
import { firstDayOf, SECOND_DAY_KEY, secondDayOf } from '@/core/visits/types/cleanout-legs'
import { daysBetween } from '@/core/numeric/calendar'
import '../calendar-days'
import { ownFirmOnly } from '../own-firm-only'
import { firmTexts } from '@/messages/texts'
import { visitWords } from '@/messages/visits/visit-words'

/** What marked the second day of a cleanout before the two days knew of each other. */
const OLD_TASK = 'second-day'
const OLD_SUFFIX = ':second-day'
/** Two days of one cleanout that were torn apart by a later plan are known again this far from each other. */
const TORN_DAYS = 45

/** A cleanout of two days is one piece of work; plans that were taken over can be undone. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('visits', (t) => {
    t.uuid('leg_of').nullable().references('id').inTable('visits').onDelete('SET NULL')
  })
  await knex.raw(
    `create unique index visits_one_second_day on visits (leg_of) where leg_of is not null and state <> 'cancelled'`,
  )
  await joinLegs(knex)
  await knex.schema.createTable('plan_takeovers', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('id').inTable('firms').onDelete('CASCADE')
    t.uuid('run_id').notNullable().references('id').inTable('plan_runs').onDelete('CASCADE')
    t.uuid('by_id').notNullable().references('id').inTable('users')
    t.timestamp('at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.jsonb('visits').notNullable()
    t.timestamp('undone_at', { useTz: true })
    t.index(['firm_id', 'at'])
  })
  await ownFirmOnly(knex, ['plan_takeovers'])
}

interface StoredChange {
  readonly key: string
  readonly job: string
  readonly tasks: readonly { readonly id: string }[]
}

/** Joins what is stored: second days find their cleanout, and are named for what they are. Again changes nothing. */
export async function joinLegs(knex: Knex): Promise<void> {
  const seconds = await knex('visits')
    .whereNull('leg_of')
    .whereNot('state', 'cancelled')
    .whereRaw(`tasks @> ?::jsonb`, [JSON.stringify([{ id: OLD_TASK }])])
    .select('id', 'firm_id', 'pond_id', 'day', 'state', 'tasks')
  const words = visitWords(firmTexts())
  for (const second of seconds) {
    const firsts = await knex('visits as v')
      .where({ firm_id: second.firm_id, pond_id: second.pond_id, job_key: 'spring-cleanout' })
      .whereNotIn('state', ['cancelled', 'given-up'])
      .whereNotExists(
        knex('visits as s').whereRaw('s.leg_of = v.id').whereNot('s.state', 'cancelled').select(knex.raw('1')),
      )
      .select('id', 'day', 'state', 'job')
    const [first] = firsts
      .map((f) => ({ ...f, off: Math.abs(daysBetween(f.day, second.day) - 1) }))
      .filter((f) => f.off <= TORN_DAYS)
      .sort((a, b) => a.off - b.off)
    if (!first) continue
    const job = secondDayOf(first.job, words)
    await knex('visits')
      .where({ id: second.id })
      .update({
        leg_of: first.id,
        // a visit that has begun keeps the steps it began with
        ...(second.state === 'planned'
          ? {
              job_key: job.key,
              job_name: job.name,
              job: JSON.stringify(job),
              tasks: JSON.stringify(second.tasks.filter((task: { id: string }) => task.id !== OLD_TASK)),
              version: knex.raw('version + 1'),
            }
          : {}),
      })
    if (first.state === 'planned')
      await knex('visits')
        .where({ id: first.id })
        .update({ job: JSON.stringify(firstDayOf(first.job, words)), version: knex.raw('version + 1') })
  }
  const runs = await knex('plan_runs')
    .whereRaw(`result::text like ?`, [`%${OLD_SUFFIX}%`])
    .select<{ id: PlanRunId; result: { changes: StoredChange[] } }[]>('id', 'result')
  for (const { id, result } of runs) {
    const keys = new Set<string>(result.changes.map((c: StoredChange) => c.key))
    const pairOf = (key: string) => {
      if (key.endsWith(OLD_SUFFIX)) return key.slice(0, -OLD_SUFFIX.length)
      if (keys.has(`${key}${OLD_SUFFIX}`)) return `${key}${OLD_SUFFIX}`
      return null
    }
    const changes = result.changes.map((c: StoredChange) => ({
      ...c,
      pair: pairOf(c.key),
      ...(c.key.endsWith(OLD_SUFFIX)
        ? { job: SECOND_DAY_KEY, tasks: c.tasks.filter((task) => task.id !== OLD_TASK) }
        : {}),
    }))
    await knex('plan_runs')
      .where({ id })
      .update({ result: JSON.stringify({ ...result, changes }) })
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('plan_takeovers')
  await knex.raw('drop index if exists visits_one_second_day')
  await knex.schema.alterTable('visits', (t) => t.dropColumn('leg_of'))
}
