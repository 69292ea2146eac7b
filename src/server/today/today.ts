import type { Knex } from 'knex'
import { addDays } from '@/core/numeric/calendar'
import { nextWindow } from '@/domain/season/season-dates'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listOpenFollowUps } from '@/server/visits/follow-up-repository'
import { countPonds, listPondNames } from '@/server/ponds/pond-repository'
import { latestConcerns } from '@/server/forecasts/concern-repository'
import { listAnswers } from '@/server/proposals/proposal-repository'
import { may } from '@/domain/people/roles'
import { countFollowUpsDue, listRequests, listUnlogged } from '@/server/today/today-repository'
import { listRisks } from '@/server/forecasts/forecast-repository'
import { listPondsWithout } from '@/server/schedule/planning-repository'
import { listPondWeeks } from '@/server/season/season-repository'
import { listVisitDays, listVisitLines } from '@/server/visits/visit-line-repository'
import { todayIn } from '@/server/platform/today'
import { forecastsSince } from '@/server/forecasts/forecasts'
import { weatherStatus } from '@/server/season/weather'
import { DAY_MS } from '@/core/numeric/time'

const LOOK_AHEAD_DAYS = 14
/** Answers of customers stay on Today for so long. */
const ANSWERS_DAYS = 14
const MAX_CONCERNS = 8
/** The page shows the first, and all of these on request. */
const MAX_FOLLOW_UPS = 100
const MAX_RISKS = 6
const MAX_TO_PLAN = 8
/** A cleanout this close to its window counts as this season's. */
const NEAR_WINDOW_DAYS = 60

/** The morning: what is under way, what must be decided, which ponds are at risk, how warm the water is. */
export async function todayPage(actor: Actor) {
  assertMay(actor, 'visits.read')
  const today = todayIn(actor.timeZone)
  // three readers at once: nothing here writes, and none needs what another finds
  const [weatherState, toDecide, morning] = await Promise.all([
    weatherStatus(),
    inFirm(actor.firmId, (trx) => cleanoutsToDecide(trx, today)),
    inFirm(actor.firmId, async (trx) => ({
      pondCount: await countPonds(trx),
      visits: await listVisitLines(trx, { from: today, to: addDays(today, LOOK_AHEAD_DAYS) }),
      followUps: await listOpenFollowUps(trx, { dueBy: addDays(today, LOOK_AHEAD_DAYS), limit: MAX_FOLLOW_UPS }),
      found: await latestConcerns(trx, MAX_CONCERNS),
      risks: await listRisks(trx, forecastsSince(), MAX_RISKS),
      answers: may(actor.role, 'prices.read')
        ? await listAnswers(trx, new Date(Date.now() - ANSWERS_DAYS * DAY_MS))
        : [],
      requests: await listRequests(trx),
      unlogged: await listUnlogged(trx, today),
      followUpCount: await countFollowUpsDue(trx, addDays(today, LOOK_AHEAD_DAYS)),
    })),
  ])
  const { visits, found, ...rest } = morning
  return {
    today,
    weather: weatherState,
    ...rest,
    concerns: found.shown,
    concernCount: found.count,
    ...toDecide,
    todays: visits.filter((v) => v.day === today),
    coming: visits.filter((v) => v.day > today),
  }
}
export type TodayPageData = Awaited<ReturnType<typeof todayPage>>

/**
 * Ponds whose coming cleanout window has no visit yet, earliest first, but for those whose customers have agreed to
 * other care; and the span of water temperatures this week.
 */
async function cleanoutsToDecide(trx: Knex.Transaction, today: string) {
  const ponds = await listPondWeeks(trx, today, 'spring-cleanout')
  const cleanoutDays = await listVisitDays(trx, {
    from: `${today.slice(0, 4)}-01-01`,
    to: addDays(today, 400),
    jobKey: 'spring-cleanout',
  })
  const agreedToOther = await listPondsWithout(trx, 'spring-cleanout')
  const unplanned = ponds.flatMap((pond) => {
    if (agreedToOther.has(pond.pondId)) return []
    const window = nextWindow(pond.windows, 'spring-cleanout', today)
    if (!window) return []
    const { earliest, best, latest } = window
    const [from, to] = [addDays(earliest, -NEAR_WINDOW_DAYS), addDays(latest, NEAR_WINDOW_DAYS)]
    const planned = (cleanoutDays.get(pond.pondId) ?? []).some((day) => day >= from && day <= to)
    return planned ? [] : [{ pond, earliest, latest, best }]
  })
  const temperatures = ponds.map((p) => p.waterC).sort((a, b) => a - b)
  const toPlan = unplanned.sort((a, b) => a.earliest.localeCompare(b.earliest)).slice(0, MAX_TO_PLAN)
  const names = await listPondNames(
    trx,
    toPlan.map((p) => p.pond.pondId),
  )
  return {
    water:
      temperatures.length > 0
        ? {
            coldest: temperatures[0],
            middle: temperatures[Math.floor(temperatures.length / 2)],
            warmest: temperatures[temperatures.length - 1],
          }
        : null,
    toPlan: toPlan.flatMap(({ pond, ...dates }) => {
      const name = names.get(pond.pondId)
      return name ? [{ pondId: pond.pondId, ...name, ...dates }] : []
    }),
    toPlanCount: unplanned.length,
  }
}
