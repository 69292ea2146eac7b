import type { Knex } from 'knex'
import type { PlanInput } from '@/core/dispatch/plan/plan-input'
import { DEFAULT_PLAN_WEIGHTS, wholeSteps } from '@/core/dispatch/plan/plan-input'
import { PlanWish } from '@/domain/plan-run'
import { listCrews } from '@/server/db/people-repository'
import { listPlanningPonds, listPlanningVisits } from '@/server/db/planning-repository'
import { travelTable } from '@/server/gateways/roads'
import { planCrew, publishedVisit } from './gather'
import { locate } from './places'

/** What a move on the board is judged by; the travel table crosses to the browser as plain numbers. */
export type BoardInput = Omit<PlanInput, 'travel'> & { readonly travel: readonly number[] }

/** Crews, visits and ways of some days, for judging moves by hand. */
export async function boardInput(trx: Knex.Transaction, days: readonly string[], roadsUrl: string | undefined): Promise<BoardInput> {
  const visits = (await listPlanningVisits(trx, days[0])).filter((v) => v.day <= days[days.length - 1])
  const concerned = new Set(visits.map((v) => v.pondId))
  const ponds = (await listPlanningPonds(trx)).filter((p) => concerned.has(p.pondId))
  const byId = new Map(ponds.map((p) => [p.pondId, p]))
  const places = locate(ponds)
  const table = await travelTable(places.points, roadsUrl)
  const wish = PlanWish.parse({ from: days[0], to: days[days.length - 1] })
  return {
    days,
    crews: (await listCrews(trx)).map((crew) => planCrew(crew, [])),
    visits: visits.map((v) => ({
      ...publishedVisit(v, byId.get(v.pondId)!, places.of(v.pondId), wish, Number(days[0].slice(0, 4))),
      preferredCrew: null,
      published: null,
    })),
    locations: places.points.length,
    travel: [...table.minutes.map(wholeSteps)],
    weights: DEFAULT_PLAN_WEIGHTS,
  }
}
