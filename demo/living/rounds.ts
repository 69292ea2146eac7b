import type { Knex } from 'knex'
import { addDays, weekOf } from '../../src/core/numeric/calendar'
import { seededRandom } from '../../src/core/numeric/random'
import type { CrewId, FollowUpId, PondId, VisitId } from '../../src/domain/shared/ids'
import type { PondInContext } from '../../src/domain/ponds/pond'
import { savedPondFacts } from '../../src/domain/ponds/pond-facts'
import { SERVICE_JOBS } from '../../src/domain/schedule/service-plan'
import type { Actor } from '../../src/server/platform/auth/actor'
import { inFirm } from '../../src/server/platform/db/firm-transaction'
import { todayIn } from '../../src/server/platform/today'
import { findPonds } from '../../src/server/ponds/pond-repository'
import { listPlanningPonds, type PlanningPond } from '../../src/server/schedule/planning-repository'
import { markNotified } from '../../src/server/messages/notices'
import { minutesAt } from '../../src/server/visits/visit-estimates'
import { planVisit } from '../../src/server/visits/visit-planning'
import { listOpenFollowUps } from '../../src/server/visits/follow-up-repository'
import { findVisit, listVisits } from '../../src/server/visits/visit-repository'
import { dismissFollowUp } from '../../src/server/equipment/tasks'
import { FIRM } from '../people'
import { actorOf } from '../stories'
import { paintPond } from '../pictures'
import { inLanes } from './in-lanes'
import { logVisit, UTC_OFFSET } from './log-visit'
import { DAYS_AHEAD, planRounds, type RoundPond, type RoundVisit } from './rounds-plan'

const SEED = 51_977
const LANES = 4
const HANDS = 2
/** Longer work than a day's is planned by hand, over two. */
const ONE_DAY_MIN = 510
/** Ponds that carry more fish than their filter. */
const STRAINED_SHARE = 0.1
const LOOKED_BACK_DAYS = 320
/** A firm that works has nothing later than this on its list. */
const LATE_AT_MOST_DAYS = 9

/** A report goes out within so many days; a visit is announced so long before. */
const REPORTED_WITHIN_DAYS = 2
const TOLD_AHEAD_DAYS = 7

interface RoundFirm {
  readonly owner: Actor
  readonly crews: ReadonlyMap<string, CrewId>
  readonly leads: ReadonlyMap<string, string>
}

/** Plans the rounds of the last and the next weeks, and writes the logs of what is done by now. */
export async function driveRounds(firm: RoundFirm, now: Date): Promise<void> {
  const today = todayIn(FIRM.timeZone, now)
  const { ponds, places, taken } = await inFirm(firm.owner.firmId, async (trx) => {
    const places = await listPlanningPonds(trx)
    const ponds = await findPonds(
      trx,
      places.map(({ pondId }) => pondId),
    )
    return {
      ponds,
      places: await roundPonds(trx, places, ponds),
      taken: (await listVisits(trx, { from: addDays(today, -LOOKED_BACK_DAYS), to: addDays(today, DAYS_AHEAD) })).map(
        ({ crewName, day }) => ({ crew: crewName, day }),
      ),
    }
  })
  const visits: [RoundVisit, VisitId][] = []
  for (const visit of planRounds(places, [...firm.crews.keys()], today, taken))
    visits.push([visit, await put(firm, visit)])
  await logDone(firm, visits, new Map(ponds.map((pond) => [pond.id, pond])), places, now)
  await tell(firm.owner, visits, today)
  await answerOld(firm.owner, today)
}

/** Customers have had their reports, and know of what comes next; the last two days' and the later ones wait. */
async function tell(owner: Actor, visits: readonly (readonly [RoundVisit, VisitId])[], today: string): Promise<void> {
  const known = visits.filter(
    ([{ day }]) =>
      day < addDays(today, -REPORTED_WITHIN_DAYS) || (day >= today && day <= addDays(today, TOLD_AHEAD_DAYS)),
  )
  await markNotified(
    owner,
    known.map(([, id]) => id),
  )
}

/** What the rounds need to know of each pond. */
async function roundPonds(
  trx: Knex.Transaction,
  places: readonly PlanningPond[],
  ponds: readonly PondInContext[],
): Promise<(RoundPond & Pick<PlanningPond, 'weeklyC'>)[]> {
  const minutes = new Map<string, Map<PondId, number>>()
  for (const { key } of SERVICE_JOBS) minutes.set(key, await minutesAt(trx, key, ponds, HANDS))
  return places.map(({ pondId, lines, windows, lat, lon, ...place }) => ({
    ...place,
    id: pondId,
    agreed: lines,
    windows: windows.anyYear,
    lat: lat!,
    lon: lon!,
    minutesOf: (visitType) => {
      const needed = minutes.get(visitType)!.get(pondId)!
      return needed > ONE_DAY_MIN ? null : needed
    },
  }))
}

const put = ({ owner, crews }: RoundFirm, { pondId, visitType, day, crew, startTime }: RoundVisit): Promise<VisitId> =>
  planVisit(
    owner,
    { pondId: pondId as PondId, visitType, day, startTime, crewId: crews.get(crew)!, note: '' },
    new Date(`${day}T06:00:00${UTC_OFFSET}`),
  )

/** Logs of all that was to be done by now; at what is being done, the steps up to now. */
async function logDone(
  { owner, leads }: RoundFirm,
  visits: readonly (readonly [RoundVisit, VisitId])[],
  ponds: ReadonlyMap<PondId, PondInContext>,
  places: readonly (RoundPond & Pick<PlanningPond, 'weeklyC'>)[],
  now: Date,
): Promise<void> {
  const random = seededRandom(SEED)
  const strained = new Set(places.filter(() => random() < STRAINED_SHARE).map(({ id }) => id))
  const weeklyC = new Map(places.map((place) => [place.id, place.weeklyC]))
  const pictures = await Promise.all(Array.from({ length: 6 }, (_, i) => paintPond(i % 2 ? 'clear' : 'murky', random)))
  const actors = new Map<string, Actor>()
  for (const [crew, email] of leads) actors.set(crew, await actorOf(email))
  const due = visits.flatMap(([round, id]) => {
    const sinceMin = (now.getTime() - Date.parse(`${round.day}T${round.startTime}:00${UTC_OFFSET}`)) / 60_000
    return sinceMin > 0
      ? [{ ...round, id, share: Math.min(1, sinceMin / round.minutes), seed: 1 + random() * 1e9 }]
      : []
  })
  await inLanes(due, LANES, async ({ crew, day, pondId, id, share, seed }) => {
    const pond = ponds.get(pondId as PondId)!
    const visit = await inFirm(owner.firmId, async (trx) => (await findVisit(trx, id))!)
    const seen = {
      waterC: weeklyC.get(pondId)![weekOf(day)]!,
      depthM: savedPondFacts(pond).basin.maxDepthM,
      strained: strained.has(pondId),
    }
    await logVisit(actors.get(crew)!, { visit, seen, fish: pond.fish, share, pictures }, seededRandom(seed))
  })
}

/** What was to be looked at again long ago has been: by telephone, or on a visit before these weeks. */
async function answerOld(owner: Actor, today: string): Promise<void> {
  const due = addDays(today, -LATE_AT_MOST_DAYS)
  const open = await inFirm(owner.firmId, (trx) => listOpenFollowUps(trx, { dueBy: due, limit: 1000 }))
  for (const { id, dueTo } of open) if (dueTo < due) await dismissFollowUp(owner, id as FollowUpId)
}
