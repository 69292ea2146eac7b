import type { Knex } from 'knex'
import { may } from '@/domain/people/roles'
import type { PondInContext } from '@/domain/ponds/pond'
import { patchesNow } from '@/domain/plants/plants'
import { bedMaterialsAt } from '@/server/house-rules/filter-rules'
import { houseRulesAt } from '@/domain/house-rules/house-rules'
import { equipmentDue, type EquipmentDue } from '@/domain/equipment/equipment'
import { holdsHours } from '@/domain/visits/visit'
import { lampRest } from '@/domain/equipment/lamp-rest'
import type { PondId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { findSite } from '@/server/customers/customer-repository'
import { listDesigns } from '@/server/design/design-repository'
import { listEquipment } from '@/server/equipment/equipment-repository'
import { listGear } from '@/server/equipment/gear-repository'
import { findFirm } from '@/server/firm/firm-repository'
import { findForecast } from '@/server/forecasts/forecast-repository'
import { forecastsSince } from '@/server/forecasts/forecasts'
import { listPatches, listPlantEvents } from '@/server/plants/plant-repository'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { todayIn } from '@/server/platform/today'
import { findPond } from '@/server/ponds/pond-repository'
import { listPondStates } from '@/server/ponds/pond-state-repository'
import { listProposals } from '@/server/proposals/proposal-repository'
import { seasonOf } from '@/server/season/season'
import { findCalibration, findLiveSeason } from '@/server/season/season-repository'
import { weather } from '@/server/season/weather'
import { waterLoss } from '@/server/survey/water-loss'
import { listFindings } from '@/server/visits/finding-repository'
import { listOpenFollowUps } from '@/server/visits/follow-up-repository'
import { listPondPhotos } from '@/server/visits/photo-repository'
import { figureThisYear, listVisits } from '@/server/visits/visit-repository'
import { listWaterWork } from '@/server/visits/water-work-repository'
import { listReadings } from '@/server/water/reading-repository'

/** Work on a pond's page, by someone who may see ponds. @throws {ProblemError} 'not-found' */
async function ofPond<Value>(
  actor: Actor,
  id: PondId,
  work: (trx: Knex.Transaction, pond: PondInContext) => Promise<Value>,
): Promise<Value> {
  assertMay(actor, 'ponds.read')
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, id)
    if (!pond) throw notFound('pond')
    return work(trx, pond)
  })
}

/** What stands above every page of a pond: whose it is, where, and how it stands. */
export const pondHead = (actor: Actor, id: PondId) =>
  ofPond(actor, id, async (trx, pond) => {
    const today = todayIn(actor.timeZone)
    const site = (await findSite(trx, pond.siteId))!
    const states = await listPondStates(trx, [id], { today, since: forecastsSince() })
    return {
      id,
      name: pond.name,
      siteName: pond.siteName,
      address: [site.address, site.town].filter(Boolean).join(', '),
      customer: { id: site.customerId, name: pond.customerName },
      onMap: site.lat !== null,
      ownRules: Object.keys(pond.ownRules).length + Object.keys(pond.ownConstants).length,
      state: states.get(id)!,
    }
  })
export type PondHeadData = Awaited<ReturnType<typeof pondHead>>

/** Where the water temperature comes from, and how it was made to fit. */
async function waterSource(trx: Knex.Transaction, id: PondId, state: Awaited<ReturnType<typeof weather>>) {
  return {
    calibration: await findCalibration(trx, id),
    weather: {
      fetchedAt: state.fetchedAt,
      reachable: state.reachable,
      forecastIssued: state.forecastIssued,
    },
  }
}

/** The pond's forecast; null where it is so old that it counts no more. */
async function countingForecast(trx: Knex.Transaction, id: PondId) {
  const forecast = await findForecast(trx, id)
  return forecast && new Date(forecast.madeAt) >= forecastsSince() ? forecast : null
}

/** The pond as it stands: the system in its present state, the figures behind it, the year's windows. */
export const pondOverview = async (actor: Actor, id: PondId) => {
  const weatherState = await weather()
  return ofPond(actor, id, async (trx, pond) => {
    const today = todayIn(actor.timeZone)
    const firm = await findFirm(trx)
    const season = await seasonOf(trx, actor.firmId, pond, firm.rules, weatherState.stations)
    const live = await findLiveSeason(trx, id)
    const rules = houseRulesAt(firm.rules, pond.ownRules)
    return {
      today,
      pond,
      rules,
      season,
      /** This year with the weather known so far; null until a worker has seen to it. */
      live: live && { year: live.year, season: live.season, at: live.at },
      ...(await waterSource(trx, id, weatherState)),
      readings: await listReadings(trx, id),
      designs: await listDesigns(trx, id),
      materials: await bedMaterialsAt(trx, pond),
      plants: patchesNow(await listPatches(trx, [id]), await listPlantEvents(trx, [id]), actor.timeZone),
      equipment: await equipmentWithDue(trx, id, rules, season?.windows ?? []),
      forecast: await countingForecast(trx, id),
      waterLoss: await waterLoss(trx, pond, weatherState.stations, today),
    }
  })
}
export type PondOverviewData = Awaited<ReturnType<typeof pondOverview>>

/** Tests, what was done between them, what is forecast and planned after them, and whether water is lost. */
export const pondWater = async (actor: Actor, id: PondId) => {
  const { stations } = await weather()
  const today = todayIn(actor.timeZone)
  return ofPond(actor, id, async (trx, pond) => ({
    today,
    pond,
    readings: await listReadings(trx, id),
    work: await listWaterWork(trx, id, actor.timeZone),
    visits: (await listVisits(trx, { pondId: id }))
      .filter(({ state }) => state === 'done' || holdsHours(state))
      .map(({ id: visitId, day, state, job }) => ({ id: visitId, day, isDone: state === 'done', name: job.name })),
    forecast: await countingForecast(trx, id),
    waterLoss: await waterLoss(trx, pond, stations, today),
  }))
}
export type PondWaterData = Awaited<ReturnType<typeof pondWater>>

/** What is fitted, when it is due, and what the seasons bring in and out. */
export const pondEquipment = async (actor: Actor, id: PondId) => {
  const { stations } = await weather()
  return ofPond(actor, id, async (trx, pond) => {
    const firm = await findFirm(trx)
    const season = await seasonOf(trx, actor.firmId, pond, firm.rules, stations)
    const today = todayIn(actor.timeZone)
    return {
      today,
      pond,
      equipment: await equipmentWithDue(trx, id, houseRulesAt(firm.rules, pond.ownRules), season?.windows ?? []),
      gear: await listGear(trx, id),
      cuttingBuckets: await figureThisYear(trx, id, 'cuttingBuckets', `${today.slice(0, 4)}-01-01`),
    }
  })
}
export type PondEquipmentData = Awaited<ReturnType<typeof pondEquipment>>

async function equipmentWithDue(
  trx: Knex.Transaction,
  id: PondId,
  ...[rules, windows]: Parameters<typeof lampRest>
): Promise<EquipmentDue[]> {
  const rest = lampRest(rules, windows)
  return (await listEquipment(trx, id)).map((piece) => ({ ...piece, due: equipmentDue(piece, rest).due }))
}

/** Visits of a pond, what is to be done after them, and what they found. */
export const pondVisits = (actor: Actor, id: PondId) =>
  ofPond(actor, id, async (trx, pond) => ({
    today: todayIn(actor.timeZone),
    pond,
    visits: await listVisits(trx, { pondId: id }),
    followUps: await listOpenFollowUps(trx, { pondId: id }),
    findings: await listFindings(trx, id),
  }))
export type PondVisitsData = Awaited<ReturnType<typeof pondVisits>>

/** What is on file of a pond as papers and pictures. */
export const pondFiles = (actor: Actor, id: PondId) =>
  ofPond(actor, id, async (trx, pond) => ({
    pond,
    photos: await listPondPhotos(trx, id),
    reports: (await listVisits(trx, { pondId: id }))
      .filter((v) => v.state === 'done')
      .map(({ id: visitId, day, job }) => ({ id: visitId, day, jobName: job.name }))
      .reverse(),
    designs: (await listDesigns(trx, id)).map(({ number, name, state }) => ({ number, name, state })),
    proposals: may(actor.role, 'prices.read') ? await listProposals(trx, id) : [],
  }))
export type PondFilesData = Awaited<ReturnType<typeof pondFiles>>
