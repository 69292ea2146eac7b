import type { Knex } from 'knex'
import { addDays } from '@/core/numeric/calendar'
import { EARLIER_DOSE_DAYS } from '@/domain/water/dosing'
import { equipmentDue } from '@/domain/equipment/equipment'
import type { FieldPack, FieldPerson, FieldVisit } from '@/domain/field/field-pack'
import type { VisitId } from '@/domain/shared/ids'
import { lampRest } from '@/domain/equipment/lamp-rest'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { houseRulesAt } from '@/domain/house-rules/house-rules'
import { forVisit } from '@/domain/plants/plants'
import type { ProductBook } from '@/domain/stores/product-book'
import { notFound } from '@/domain/shared/problems'
import { may } from '@/domain/people/roles'
import type { VisitInContext } from '@/domain/visits/visit'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listEquipment } from '@/server/equipment/equipment-repository'
import { listForecastRisks } from '@/server/forecasts/forecast-repository'
import { listFindings } from '@/server/visits/finding-repository'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listPhotosOf } from '@/server/visits/photo-repository'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { findPonds } from '@/server/ponds/pond-repository'
import { listGear } from '@/server/equipment/gear-repository'
import { findProducts } from '@/server/stores/product-repository'
import { listLastReadings } from '@/server/water/reading-repository'
import { findVisit, listDosesSince, listEntriesOf, listOpenVisits, listVisits } from '@/server/visits/visit-repository'
import { todayIn } from '@/server/platform/today'
import { forecastsSince } from '@/server/forecasts/forecasts'
import { cleanoutPond } from '@/server/visits/visit-estimates'
import { plantsOf, type DayHere } from '@/server/plants/plants-of'
import { gateFacts } from './facts'
import { DAY_MS } from '@/core/numeric/time'

/** A crew's device holds this many days; people of no crew see everybody's, so fewer of them. */
const CREW_DAYS_AHEAD = 14
const ALL_DAYS_AHEAD = 2
/** A person's rounds with all that their visits need: what the device keeps for a day without signal. */
export async function fieldPack(actor: Actor, now: Date = new Date()): Promise<FieldPack> {
  assertMay(actor, 'visits.read')
  const today = todayIn(actor.timeZone, now)
  const to = addDays(today, actor.crewId ? CREW_DAYS_AHEAD : ALL_DAYS_AHEAD)
  return inFirm(actor.firmId, async (trx) => {
    const near = await listVisits(trx, { from: addDays(today, -1), to, crewId: actor.crewId ?? undefined })
    const open = await listOpenVisits(trx, actor.crewId ?? undefined)
    const visits = [...open.filter((v) => !near.some((n) => n.id === v.id)), ...near]
    return {
      person: personOf(actor),
      today,
      madeAt: now.toISOString(),
      products: (await findProducts(trx)).products,
      visits: await withAll(trx, visits, { today, timeZone: actor.timeZone }),
    }
  })
}

/** One visit, whenever and whoever's it is. */
export async function fieldVisit(actor: Actor, id: VisitId): Promise<FieldVisit> {
  assertMay(actor, 'visits.read')
  return inFirm(actor.firmId, async (trx) => {
    const visit = await findVisit(trx, id)
    if (!visit) throw notFound('visit')
    return (await withAll(trx, [visit], { today: todayIn(actor.timeZone), timeZone: actor.timeZone }))[0]!
  })
}

/** One visit with the product book, to be taken along on paper. */
export async function paperSheet(actor: Actor, id: VisitId): Promise<{ field: FieldVisit; products: ProductBook }> {
  const field = await fieldVisit(actor, id)
  return { field, products: await inFirm(actor.firmId, async (trx) => (await findProducts(trx)).products) }
}

const personOf = ({ userId, name, role, firmName, timeZone, preferences }: Actor): FieldPerson => ({
  userId,
  name,
  role,
  firmName,
  timeZone,
  preferences,
  mayOverride: may(role, 'visits.override-gate'),
  mayLog: may(role, 'visits.log'),
})

async function withAll(trx: Knex.Transaction, visits: readonly VisitInContext[], here: DayHere): Promise<FieldVisit[]> {
  const ids = visits.map((v) => v.id)
  const pondIds = [...new Set(visits.map((v) => v.pondId))]
  const { rules: house } = await findFirm(trx)
  const planning = await listPlanningPonds(trx, pondIds)
  const rests = new Map(planning.map((p) => [p.pondId, lampRest(houseRulesAt(house, p.ownRules), p.windows.anyYear)]))
  const plants = new Map((await plantsOf(trx, here, planning)).map((p) => [p.pond.pondId, p]))
  const [logs, photos, last, equipment, gear, findings] = [
    await listEntriesOf(trx, ids),
    await listPhotosOf(trx, ids),
    await listLastReadings(trx, pondIds),
    await listEquipment(trx),
    await listGear(trx),
    await listFindings(trx),
  ]
  const doses = await listDosesSince(trx, pondIds, new Date(Date.now() - EARLIER_DOSE_DAYS * DAY_MS).toISOString())
  const forecastRisks = await listForecastRisks(trx, pondIds, forecastsSince())
  const ponds = new Map((await findPonds(trx, pondIds)).map((pond) => [pond.id, pond]))
  const packed: FieldVisit[] = []
  // one after the other: a transaction answers one question at a time
  for (const visit of visits) {
    const pond = ponds.get(visit.pondId)!
    packed.push({
      visit,
      pond,
      log: logs.get(visit.id)!,
      photos: photos.filter((photo) => photo.visitId === visit.id),
      gateFacts: await gateFacts(trx, visit.id, pond),
      cleanout: cleanoutPond(pond, savedPondFacts(pond)),
      lastReadings: last.get(visit.pondId)!,
      recentDoses: doses
        .filter((d) => d.pondId === visit.pondId && d.visitId !== visit.id)
        .map(({ productKey, at }) => ({ productKey, at })),
      equipment: equipment
        .filter((piece) => piece.pondId === visit.pondId)
        .map((piece) => ({ ...piece, due: equipmentDue(piece, rests.get(piece.pondId) ?? null).due })),
      gear: gear.filter((g) => g.pondId === visit.pondId),
      plants: plants.get(visit.pondId)!.patches.map((patch) => forVisit(patch, visit.id)),
      care: plants.get(visit.pondId)!.tasks,
      notesForNextSeason: findings
        .filter((f) => f.pondId === visit.pondId && f.becomes === 'next-season' && f.foundOn < visit.day)
        .map((f) => f.text),
      forecastRisks: forecastRisks.get(visit.pondId) ?? null,
    })
  }
  return packed
}
