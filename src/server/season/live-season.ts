import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { addDays, daysBetween } from '@/core/numeric/calendar'
import { calibrate } from '@/core/season/calibrate'
import { seasonBegins, seasonFromOf, seasonYearOf } from '@/core/season/season-year'
import { weatherAtHeight } from '@/core/season/weather-ahead'
import { SURVEY_SPREAD } from '@/core/season/thermal-spread'
import { DEFAULT_WEATHER_YEARS, pondSeason, type Season } from '@/core/season/windows'
import type { FirmId } from '@/domain/shared/ids'
import type { PondInContext } from '@/domain/ponds/pond'
import { houseRulesAt, seasonRulesOf, type HouseRules } from '@/domain/house-rules/house-rules'
import { findSite } from '@/server/customers/customer-repository'
import { listWaterTemps } from '@/server/water/reading-repository'
import {
  findCalibration,
  findTwinLiveSeason,
  liveHashOf,
  storeCalibration,
  storeLiveSeason,
} from '@/server/season/season-repository'
import { listWeatherDays, type KeptStation } from '@/server/season/weather-repository'
import { briefOf, round, SEASON_METHOD, seasonOf, thermalPond } from './season'

/** Readings older than this teach nothing: trees grow. */
const LEARN_DAYS = 800
/** Weather before the season year that its run begins with. */
const RUN_IN_DAYS = 80
/** A reading this old still corrects the model's water. */
const READING_COUNTS_DAYS = 14
/** A forecast issued longer ago tells nothing more. */
const FORECAST_COUNTS_DAYS = 4
const SEED = 4713

const hashOf = (value: unknown) => createHash('sha256').update(JSON.stringify(value)).digest('hex')

interface Setting {
  readonly firmId: FirmId
  readonly house: HouseRules
  readonly timeZone: string
  readonly stations: readonly KeptStation[]
  readonly today: string
}

/** Counts the ways of learning from readings: by another one they are learnt from anew. */
const CALIBRATION = 2

/**
 * Brings one pond up to what is known today: learns from its readings, then works out any year and this year. What
 * has not changed is left alone.
 * @returns whether this year's season is a new one
 */
export async function renewPond(trx: Knex.Transaction, pond: PondInContext, setting: Setting): Promise<boolean> {
  const { firmId, house, stations, today, timeZone } = setting
  const site = await findSite(trx, pond.siteId)
  const station = stations.find((s) => s.id === site?.stationId) ?? stations[0]
  if (!station) return false
  const days = weatherAtHeight(
    await listWeatherDays(trx, station.id, addDays(today, -LEARN_DAYS)),
    station.normals.altitudeM,
    pond.altitudeM,
  )
  const readings = await listWaterTemps(trx, pond.id, addDays(today, -LEARN_DAYS), timeZone)
  // a season of any year must be there before anything is kept beside it
  await seasonOf(trx, firmId, pond, house, stations)
  const thermal = { ...thermalPond(pond), latitudeDeg: station.normals.latitudeDeg }
  const key = hashOf([CALIBRATION, thermal, readings, days.length > 0 ? days[0]!.date : null])
  let calibration = await findCalibration(trx, pond.id)
  if (calibration?.key !== key) {
    calibration = JSON.parse(JSON.stringify({ ...calibrate(thermal, days, readings), key }, round(4))) as NonNullable<
      typeof calibration
    >
    await storeCalibration(trx, pond.id, calibration)
    await seasonOf(trx, firmId, pond, house, stations)
  }
  if (days.length === 0) return false
  const from = seasonFromOf(station.normals)
  const year = seasonYearOf(today, from)
  const { forecast } = station
  const last = readings.at(-1)
  const input = {
    pond: { ...thermalPond(pond), ...calibration.fit },
    spread: calibration.spread ?? SURVEY_SPREAD,
    station: station.normals,
    rules: seasonRulesOf(houseRulesAt(house, pond.ownRules)),
    year,
    weatherYears: DEFAULT_WEATHER_YEARS,
    seed: SEED,
    known: {
      today,
      observed: days.filter((d) => d.date >= addDays(seasonBegins(year, from), -RUN_IN_DAYS)),
      forecast:
        forecast && daysBetween(forecast.issued, today) <= FORECAST_COUNTS_DAYS
          ? weatherAtHeight(forecast.days, station.normals.altitudeM, pond.altitudeM).filter((d) => d.date >= today)
          : [],
    },
    ...(last && daysBetween(last.date, today) <= READING_COUNTS_DAYS ? { reading: last } : {}),
  }
  const hash = hashOf([SEASON_METHOD, input])
  if ((await liveHashOf(trx, pond.id)) === hash) return false
  const season =
    (await findTwinLiveSeason(trx, hash)) ?? (JSON.parse(JSON.stringify(pondSeason(input), round(3))) as Season)
  await storeLiveSeason(trx, pond.id, { year, hash, season, ...briefOf(season), at: new Date().toISOString() })
  return true
}
