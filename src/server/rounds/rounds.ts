import type { Knex } from 'knex'
import { DateTime } from 'luxon'
import { liveDay, type LiveDay } from '@/core/schedule/live-day'
import { wholeSteps } from '@/core/schedule/plan/plan-input'
import { addDays, mondayOf } from '@/core/numeric/calendar'
import { minutesOfDay } from '@/domain/people/crew-setup'
import type { CrewId } from '@/domain/shared/ids'
import { loadList } from '@/domain/rounds/load-list'
import { productNeeds } from '@/domain/stores/product-needs'
import { notFound } from '@/domain/shared/problems'
import type { Crew } from '@/domain/people/people'
import type { VisitInContext } from '@/domain/visits/visit'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findCrew, listCrews } from '@/server/people/people-repository'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { listVisitLines } from '@/server/visits/visit-line-repository'
import { listVisits } from '@/server/visits/visit-repository'
import { routeShape, travelTable, type MapPoint } from '@/server/platform/gateways/roads'
import { boardFacts, withTravel } from './board'
import { locate } from '@/server/schedule/places'
import { findProducts } from '@/server/stores/product-repository'
import { todayIn } from '@/server/platform/today'
import { comingVisits } from '@/server/stores/stores'
import { may } from '@/domain/people/roles'
import { listEquipment } from '@/server/equipment/equipment-repository'
import { tasksWithPart } from '@/server/equipment/tasks'

/** Crews × the seven days of a week. */
export async function roundsPage(actor: Actor, dayInWeek: string | null) {
  assertMay(actor, 'visits.read')
  const today = todayIn(actor.timeZone)
  const monday = mondayOf(dayInWeek ?? today)
  const days = Array.from({ length: 7 }, (_, i) => addDays(monday, i))
  const mayPlan = may(actor.role, 'visits.plan')
  const { facts, ...page } = await inFirm(actor.firmId, async (trx) => ({
    today,
    monday,
    days,
    crews: await listCrews(trx),
    visits: await listVisitLines(trx, { from: monday, to: addDays(monday, 6) }),
    mayPlan,
    // what moves are judged by; those who may not move anything need none of it
    facts: mayPlan ? await boardFacts(trx, days) : null,
  }))
  return { ...page, board: facts && (await withTravel(facts)) }
}
export type RoundsPageData = Awaited<ReturnType<typeof roundsPage>>

/** Every crew's day on the map: stops in their order, and the way between them. */
export async function mapPage(actor: Actor, asked: string | null) {
  assertMay(actor, 'visits.read')
  const today = todayIn(actor.timeZone)
  const day = asked ?? today
  const read = await inFirm(actor.firmId, async (trx) => {
    const ponds = await listPlanningPonds(trx)
    const sites = new Map(
      ponds.map((p) => [
        p.siteId as string,
        { id: p.siteId as string, name: p.siteName, town: p.town, lat: p.lat, lon: p.lon, pondId: p.pondId as string },
      ]),
    )
    const visits = await listVisitLines(trx, { from: day, to: day })
    const siteOf = new Map(ponds.map((p) => [p.pondId, p.siteId as string]))
    const crews = await listCrews(trx)
    const { points, yardOf } = locate(ponds, crews)
    const rounds = []
    for (const crew of crews) {
      const stops = visits
        .filter((v) => v.crewId === crew.id)
        .flatMap((v) => {
          const site = sites.get(siteOf.get(v.pondId) ?? '')
          return site && site.lat !== null && site.lon !== null ? [{ ...v, lat: site.lat, lon: site.lon }] : []
        })
      rounds.push({ crew: { id: crew.id, name: crew.name }, yard: points[yardOf(crew.id)]!, stops })
    }
    return { today, day, yard: points[0]!, sites: [...sites.values()], rounds }
  })
  // roads are asked when the database is free again, all rounds at once
  const optionOf = ({ yard, stops }: (typeof read.rounds)[number]) =>
    stops.length === 0 ? [] : routeShape([yard, ...stops, yard], process.env.ROADS_URL)
  return {
    ...read,
    rounds: await Promise.all(read.rounds.map(async (round) => ({ ...round, way: await optionOf(round) }))),
  }
}
export type MapPageData = Awaited<ReturnType<typeof mapPage>>

/** A crew's day in its order: stops, the way to each in minutes, and what to load. */
export async function daySheet(actor: Actor, crewId: CrewId, day: string) {
  assertMay(actor, 'visits.read')
  const { places, ...sheet } = await inFirm(actor.firmId, async (trx) => {
    const crew = await findCrew(trx, crewId)
    if (!crew) throw notFound('crew')
    const visits = await listVisits(trx, { from: day, to: day, crewId })
    return {
      places: await placesOf(trx, visits, crew),
      crew,
      day,
      today: todayIn(actor.timeZone),
      visits,
      load: loadList(
        visits,
        productNeeds(
          await comingVisits(
            trx,
            visits.filter((v) => v.state === 'planned'),
          ),
          (await findProducts(trx)).products,
        ),
        tasksWithPart(await listEquipment(trx)),
      ),
      mayTell: may(actor.role, 'visits.log'),
    }
  })
  const ways = await waysBetween(places)
  return { ...sheet, ways, live: liveOf(sheet.visits, ways, actor.timeZone, day) }
}
export type DaySheetData = Awaited<ReturnType<typeof daySheet>>

/** How the day goes on from what was logged, minutes of the day; only its own day has a now. */
function liveOf(
  visits: readonly VisitInContext[],
  ways: readonly (number | null)[],
  timeZone: string,
  day: string,
): LiveDay {
  const minuteOf = (iso: string | null): number | null => {
    if (!iso) return null
    const at = DateTime.fromISO(iso, { zone: timeZone })
    return at.toISODate() === day ? at.hour * 60 + at.minute : null
  }
  const stops = visits.map((v) => ({
    id: v.id,
    plannedStartMin: minutesOfDay(v.startTime),
    minutes: v.plannedMinutes,
    startedMin: minuteOf(v.startedAt),
    finishedMin: minuteOf(v.finishedAt),
  }))
  return liveDay(stops, [...ways.map((w) => w ?? 0), 0], minuteOf(new Date().toISOString()))
}

interface RoundPlaces {
  /** The yard, then each stop that is on the map. */
  readonly points: readonly MapPoint[]
  /** Place of each stop among the points; null where it is not on the map. */
  readonly at: readonly (number | null)[]
}

async function placesOf(
  trx: Knex.Transaction,
  visits: readonly VisitInContext[],
  crew: Pick<Crew, 'id' | 'setup'>,
): Promise<RoundPlaces> {
  const { points, of, yardOf, missing } = locate(await listPlanningPonds(trx), [crew])
  const at = visits.map((v) => (missing.includes(v.siteName) ? null : of(v.pondId)))
  const used = [yardOf(crew.id), ...at.filter((place) => place !== null)]
  return {
    points: used.map((place) => points[place]!),
    at: at.map((place) => (place === null ? null : used.indexOf(place))),
  }
}

/** Minutes from the yard to the first stop and on from stop to stop; null where a place is not on the map. */
async function waysBetween({ points, at }: RoundPlaces): Promise<(number | null)[]> {
  const table = await travelTable(points, process.env.ROADS_URL)
  let from = 0
  return at.map((place) => {
    if (place === null) return null
    const minutes = table.minutes[from * points.length + place]!
    from = place
    return wholeSteps(minutes)
  })
}
