import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { ECOSYSTEM_PARAMETERS } from '@/core/ecosystem/parameters'
import type { PondEvent } from '@/core/ecosystem/events'
import { STATE_NAMES } from '@/core/ecosystem/states'
import type { ForecastTask } from '@/core/assimilation/forecast-pond'
import { OBSERVED_KINDS, type ObservedKind } from '@/core/assimilation/observed'
import type { EnsembleFilter } from '@/core/assimilation/ensemble-filter'
import { TRAIT_COUNT } from '@/core/assimilation/traits'
import { addDays, daysBetween } from '@/core/numeric/calendar'
import { weatherAtHeight } from '@/core/season/weather-ahead'
import { eventsOfPlants, eventsOfVisits } from '@/domain/forecasts/eco-events'
import { todayIn } from '@/server/platform/today'
import { eventsOfDoses } from '@/domain/forecasts/dose-events'
import type { FirmId, PondId } from '@/domain/shared/ids'
import { patchesNow } from '@/domain/plants/plants'
import type { PondInContext } from '@/domain/ponds/pond'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import type { PondModel } from '@/domain/forecasts/what-if'
import { findSite } from '@/server/customers/customer-repository'
import { listPastScores } from '@/server/forecasts/accuracy-repository'
import { findFilter } from '@/server/forecasts/forecast-repository'
import { listPatches, listPlantEvents } from '@/server/plants/plant-repository'
import { listDailyReadings } from '@/server/water/reading-repository'
import { findProducts } from '@/server/stores/product-repository'
import { listDoneVisitDays, listDosesSince } from '@/server/visits/visit-repository'
import { listWeatherDays, type KeptStation } from '@/server/season/weather-repository'
import { pondModel } from './pond-model'

/** A filter that begins anew looks back so far. */
const LEARN_DAYS = 100
/** A filter that was left alone for longer begins anew. */
const STALE_DAYS = 45
/** What a visit leaves standing for the winter is long off after so many days. */
const STANDS_DAYS = 240
const FORECAST_MEMBERS = 100
const SHORT_DIGITS = 7
/** Traits are deviations of the order of 1; a hundred members have a hundred each. */
const TRAIT_DIGITS = 4

export interface PondTask {
  readonly task: ForecastTask
  readonly pondHash: string
}

interface Setting {
  readonly firmId: FirmId
  readonly timeZone: string
  readonly stations: readonly KeptStation[]
  readonly today: string
}

/** What a pond's forecast is worked out from. @returns null while no weather is known */
export async function forecastTask(
  trx: Knex.Transaction,
  pond: PondInContext,
  setting: Setting,
): Promise<PondTask | null> {
  const { firmId, timeZone, stations, today } = setting
  const model = await pondModel(trx, { firmId, timeZone }, pond, stations, today)
  if (!model) return null
  const { adopted, basin } = savedPondFacts(pond)
  const { maxDepthM } = basin
  const pondHash = hashOf(model, maxDepthM)
  const kept = await findFilter(trx, pond.id)
  const goesOn =
    kept !== null &&
    kept.pondHash === pondHash &&
    kept.filter.day <= today &&
    daysBetween(kept.filter.day, today) <= STALE_DAYS
  const from = goesOn ? kept.filter.day : addDays(today, -LEARN_DAYS)
  const site = await findSite(trx, pond.siteId)
  const station = stations.find((s) => s.id === site?.stationId) ?? stations[0]
  const observed = weatherAtHeight(
    await listWeatherDays(trx, station!.id, addDays(from, -1)),
    station!.normals.altitudeM,
    pond.altitudeM,
  )
  const readings = await listDailyReadings(trx, pond.id, addDays(from, -1), timeZone)
  return {
    pondHash,
    task: {
      pond: model.eco,
      deepestM: maxDepthM,
      station: model.station,
      known: { ...model.known, observed },
      from,
      filter: goesOn ? readFilter(kept.filter) : null,
      readings: readings
        .filter((r) => (OBSERVED_KINDS as readonly string[]).includes(r.kind))
        .map((r) => ({ ...r, kind: r.kind as ObservedKind }))
        .filter((r) => r.day >= from && r.day <= today),
      events: await doneAt(trx, pond.id, model.eco.volumeM3, { from, today, timeZone }),
      volumeSigmaShare: adopted.sigmaM3 / adopted.volumeM3,
      scores: goesOn ? await listPastScores(trx, pond.id, pondHash) : [],
      members: FORECAST_MEMBERS,
    },
  }
}

/** What was done at a pond from a day to today, for the simulator: visits, doses and the care of its plants. */
async function doneAt(
  trx: Knex.Transaction,
  pondId: PondId,
  volumeM3: number,
  { from, today, timeZone }: { readonly from: string; readonly today: string; readonly timeZone: string },
): Promise<PondEvent[]> {
  const visits = (await listDoneVisitDays(trx, pondId, addDays(from, -STANDS_DAYS))).filter((v) => v.day <= today)
  const doses = (await listDosesSince(trx, [pondId], `${from}T00:00:00Z`)).map((dose) => ({
    ...dose,
    day: todayIn(timeZone, new Date(dose.at)),
  }))
  const { products } = await findProducts(trx)
  const patches = patchesNow(await listPatches(trx, [pondId]), await listPlantEvents(trx, [pondId]), timeZone)
  return [
    ...eventsOfVisits(visits, from),
    ...eventsOfDoses(
      doses.filter(({ day }) => day <= today),
      products,
      volumeM3,
      from,
    ),
    ...eventsOfPlants(patches, from, addDays(today, 1)),
  ]
}

/** States, parameters and what a member is made of: members of an older one are not its members. */
const MODEL = createHash('sha256')
  .update(JSON.stringify([STATE_NAMES, ECOSYSTEM_PARAMETERS, TRAIT_COUNT, OBSERVED_KINDS]))
  .digest('hex')

/** What an ensemble hangs on: another survey, filter or stock begins anew, and another model of the pond. */
const hashOf = ({ eco }: PondModel, deepestM: number): string => {
  const { volumeM3, areaM2, filter, fish, plants } = eco
  return createHash('sha256')
    .update(
      JSON.stringify(
        [MODEL, volumeM3, areaM2, deepestM, filter, fish, plants].map((v) =>
          typeof v === 'number' ? v.toPrecision(5) : v,
        ),
      ),
    )
    .digest('hex')
}

/** Typed arrays do not live in JSON. */
const readFilter = (filter: EnsembleFilter): EnsembleFilter => ({
  ...filter,
  members: filter.members.map((p) => ({
    ...p,
    state: { ...p.state, y: Float64Array.from(Object.values(p.state.y)) },
  })),
})

/** A filter as it is kept: figures shortened to what matters. */
export const keptFilter = (filter: EnsembleFilter): unknown => ({
  ...filter,
  members: filter.members.map((p) => ({
    ...p,
    traits: p.traits.map((trait) => Number(trait.toPrecision(TRAIT_DIGITS))),
    state: { ...p.state, y: Array.from(p.state.y, (value) => Number(value.toPrecision(SHORT_DIGITS))) },
  })),
})
