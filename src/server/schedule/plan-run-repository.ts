import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { MakePlanOptions } from '@/core/schedule/plan/make-plan'
import type { FirmId, PlanRunId, UserId } from '@/domain/shared/ids'
import { PlanWish, type CrunchWeek, type PlanResult, type PlanRun } from '@/domain/schedule/plan-run'
import type { PlanFigures, PlanSummary } from '@/domain/schedule/plan-summary'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    plan_runs: {
      wish: PlanWish
      state: PlanRun['state']
      result: PlanResult
      summary: PlanFigures
      best: NonNullable<MakePlanOptions['resume']>
    }
  }
}

/** Plans of an older day do not say why a visit moved, nor who knows of it. */
const completed = (result: PlanResult): PlanResult => ({
  ...result,
  changes: result.changes.map((change) => ({
    ...change,
    why: change.why ?? null,
    tell: change.tell ?? null,
    pair: change.pair ?? null,
  })),
})

const toRun = (r: RowOf<'plan_runs'>): PlanRun => ({
  id: r.id,
  state: r.state,
  wish: r.wish,
  share: r.share,
  result: r.result && completed(r.result),
  problem: r.problem,
  askedAt: r.asked_at.toISOString(),
  finishedAt: r.finished_at?.toISOString() ?? null,
})

export async function insertPlanRun(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: PlanRunId,
  by: UserId,
  wish: PlanWish,
): Promise<void> {
  await trx('plan_runs').insert({ id, firm_id: firmId, state: 'queued', wish: JSON.stringify(wish), asked_by: by })
}

export async function findPlanRun(trx: Knex.Transaction, id: PlanRunId): Promise<PlanRun | undefined> {
  const row = await trx('plan_runs').where({ id }).first()
  return row && toRun(row)
}

export async function latestPlanRun(trx: Knex.Transaction): Promise<PlanRun | undefined> {
  const row = await trx('plan_runs').orderBy('asked_at', 'desc').first()
  return row && toRun(row)
}

/** Hours wanted and there by week, from the newest plan that is no what-if. */
export async function latestCrunch(trx: Knex.Transaction): Promise<readonly CrunchWeek[]> {
  const row = await trx('plan_runs')
    .whereNotNull('summary')
    .whereRaw(
      `coalesce((wish->>'lateByDays')::int, 0) = 0 and coalesce(wish->'crewsAway', '[]') = '[]' and coalesce((wish->>'newCustomers')::int, 0) = 0`,
    )
    .orderBy('asked_at', 'desc')
    .first('summary')
  return row?.summary?.crunch ?? []
}

/** The last runs that found something, newest first, in their figures. */
export async function listPlanSummaries(trx: Knex.Transaction, limit: number): Promise<PlanSummary[]> {
  const rows = await trx('plan_runs')
    .whereNotNull('summary')
    .orderBy('asked_at', 'desc')
    .limit(limit)
    .select('id', 'wish', 'summary', 'asked_at')
  // wishes of an older day lack what could not be wished then
  return rows.map((r) => ({ id: r.id, wish: PlanWish.parse(r.wish), askedAt: r.asked_at.toISOString(), ...r.summary! }))
}

/** Where the last worker of a run had got to. */
export async function bestSoFar(trx: Knex.Transaction, id: PlanRunId): Promise<NonNullable<MakePlanOptions['resume']>> {
  const row = await trx('plan_runs').where({ id }).first('best')
  return row?.best ?? []
}
