import type { Knex } from 'knex'
import { evaluateDesign } from '@/core/filter/design'
import { suggestDesign } from '@/core/filter/suggest'
import { addDays, daysBetween } from '@/core/numeric/calendar'
import { dayIndoors, normalsIndoors } from '@/core/season/indoors'
import { normalsAtHeight, type StationNormals } from '@/core/season/station'
import { weatherAtHeight, type DatedWeather } from '@/core/season/weather-ahead'
import type { ReadingKindName } from '@/core/water/readings'
import { standingDesign } from '@/domain/design/design'
import { ecoFilterOf, ecoPondOf, fallOf, knownWaterOf, type LastReading } from '@/domain/forecasts/eco-pond'
import type { PondInContext } from '@/domain/ponds/pond'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { houseRulesAt } from '@/domain/house-rules/house-rules'
import { patchesNow } from '@/domain/plants/plants'
import { AS_IT_IS, type ModelFilter, type PondModel } from '@/domain/forecasts/what-if'
import type { Actor } from '@/server/platform/auth/actor'
import { findSite } from '@/server/customers/customer-repository'
import { listDesigns } from '@/server/design/design-repository'
import { findFirm } from '@/server/firm/firm-repository'
import { listGear } from '@/server/equipment/gear-repository'
import { listPatches, listPlantEvents } from '@/server/plants/plant-repository'
import { listLastReadings } from '@/server/water/reading-repository'
import { findCalibration } from '@/server/season/season-repository'
import { listWeatherDays, type KeptStation } from '@/server/season/weather-repository'
import { designContext } from '@/server/design/designs'
import { waterLoss } from '@/server/survey/water-loss'
import { firmTexts } from '@/messages/texts'

/** Observed days that a run's first weeks stand on. */
const OBSERVED_DAYS = 60
/** As in the season: an older forecast tells nothing more. */
const FORECAST_COUNTS_DAYS = 4

/**
 * A pond as the simulator takes it, with its filters, weather and last readings.
 * @returns null while no weather is known
 */
// eslint-disable-next-line max-lines-per-function -- mostly the model, part by part
export async function pondModel(
  trx: Knex.Transaction,
  actor: Pick<Actor, 'firmId' | 'timeZone'>,
  pond: PondInContext,
  stations: readonly KeptStation[],
  today: string,
): Promise<PondModel | null> {
  const site = await findSite(trx, pond.siteId)
  const station = stations.find((s) => s.id === site?.stationId) ?? stations[0]
  if (!station) return null
  const facts = savedPondFacts(pond)
  const context = await designContext(trx, actor, pond, stations)
  const designs = await listDesigns(trx, pond.id)
  const worked = (design: (typeof designs)[number]['bed']) =>
    evaluateDesign({
      pond: context.designPond,
      design,
      rules: context.rules,
      houseMethod: context.houseMethod,
      pumps: context.pumps,
    })
  const standing = standingDesign(designs)
  const bed = standing
    ? (standing.builtBed ?? standing.bed)
    : suggestDesign(context.designPond, context.houseMethod, context.rules, context.pumps)
  const result = worked(bed)
  const eco = ecoPondOf({
    pond,
    facts,
    latitudeDeg: station.normals.latitudeDeg,
    thermal: (await findCalibration(trx, pond.id))?.fit ?? {},
    design: bed,
    result,
    rules: houseRulesAt((await findFirm(trx)).rules, pond.ownRules),
    filterRules: context.rules,
    patches: patchesNow(await listPatches(trx, [pond.id]), await listPlantEvents(trx, [pond.id]), actor.timeZone),
    gear: await listGear(trx, pond.id),
    fill: site?.fill ?? null,
    leakMmPerD: Math.max(0, (await leakOf(trx, pond, stations, today)) ?? 0),
  })
  const asItIs: ModelFilter = {
    key: AS_IT_IS,
    name: standing
      ? firmTexts()('forecasts.filterNames.asItIs', { version: standing.name })
      : firmTexts()('forecasts.filterNames.suggested'),
    filter: eco.filter,
    fallM: eco.fallM,
  }
  const saved = designs.map((d): ModelFilter => {
    const own = d.builtBed ?? d.bed
    return {
      key: d.id,
      name: firmTexts()('forecasts.filterNames.version', { number: d.number, name: d.name }),
      filter: ecoFilterOf(own, worked(own), context.rules),
      fallM: fallOf(own),
    }
  })
  const { forecast, normals } = station
  // a pond in a room has the room's weather, not the station's
  const room = pond.roomTempC
  const indoors = (year: StationNormals) => (room === null ? year : normalsIndoors(year, room))
  const ownDays = (days: readonly DatedWeather[]) => {
    const outside = weatherAtHeight(days, normals.altitudeM, pond.altitudeM)
    return room === null ? outside : outside.map((day) => dayIndoors(day, room))
  }
  return {
    eco,
    filters: [asItIs, ...saved],
    filterAssumed: !standing,
    station: indoors(normalsAtHeight(normals, pond.altitudeM)),
    known: {
      today,
      observed: ownDays(await listWeatherDays(trx, station.id, addDays(today, -OBSERVED_DAYS))),
      forecast:
        forecast && daysBetween(forecast.issued, today) <= FORECAST_COUNTS_DAYS
          ? ownDays(forecast.days).filter((d) => d.date >= today)
          : [],
    },
    water: knownWaterOf(await lastReadings(trx, pond), today, facts.basin.maxDepthM),
  }
}

/** What leaks as expected, where a leak is likelier than not. */
async function leakOf(
  trx: Knex.Transaction,
  pond: PondInContext,
  stations: readonly KeptStation[],
  today: string,
): Promise<number | null> {
  const loss = await waterLoss(trx, pond, stations, today)
  const leak = loss?.balance.leak
  return leak && leak.none < 0.5 ? leak.shellMmPerD + leak.movingMmPerD : null
}

async function lastReadings(
  trx: Knex.Transaction,
  pond: PondInContext,
): Promise<Partial<Record<ReadingKindName, LastReading>>> {
  const rows = (await listLastReadings(trx, [pond.id])).get(pond.id) ?? []
  return Object.fromEntries(rows.map(({ kind, value, takenAt }) => [kind, { value, takenAt }]))
}
