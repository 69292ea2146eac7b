import { DateTime } from 'luxon'
import { liveDay, type LiveDay } from '@/core/schedule/live-day'
import { minutesOfDay } from '@/domain/people/crew-setup'
import { may } from '@/domain/people/roles'
import type { DayWays } from '@/domain/rounds/day-load'
import { loadList } from '@/domain/rounds/load-list'
import type { CrewId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { productNeeds } from '@/domain/stores/product-needs'
import type { VisitInContext } from '@/domain/visits/visit'
import { listEquipment } from '@/server/equipment/equipment-repository'
import { tasksWithPart } from '@/server/equipment/tasks'
import { findCrew } from '@/server/people/people-repository'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { todayIn } from '@/server/platform/today'
import { listPondPlaces } from '@/server/ponds/pond-repository'
import { locate } from '@/server/schedule/places'
import { findProducts } from '@/server/stores/product-repository'
import { comingVisits } from '@/server/stores/stores'
import { listVisits } from '@/server/visits/visit-repository'
import { waysOfDay } from './ways'

/** A crew's day in its order: stops, the way to each in minutes, and what to load. */
export async function daySheet(actor: Actor, crewId: CrewId, day: string) {
  assertMay(actor, 'visits.read')
  const { places, ...sheet } = await inFirm(actor.firmId, async (trx) => {
    const crew = await findCrew(trx, crewId)
    if (!crew) throw notFound('crew')
    const visits = await listVisits(trx, { from: day, to: day, crewId })
    return {
      places: locate(await listPondPlaces(trx), [crew]),
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
  const ways = await waysOfDay(
    places,
    crewId,
    sheet.visits.map((v) => v.pondId),
  )
  return { ...sheet, ways, live: liveOf(sheet.visits, ways, actor.timeZone, day) }
}
export type DaySheetData = Awaited<ReturnType<typeof daySheet>>

/** How the day goes on from what was logged, minutes of the day; only its own day has a now. */
function liveOf(visits: readonly VisitInContext[], ways: DayWays, timeZone: string, day: string): LiveDay {
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
  return liveDay(
    stops,
    [...ways.toStops, ways.back].map((way) => way ?? 0),
    minuteOf(new Date().toISOString()),
  )
}
