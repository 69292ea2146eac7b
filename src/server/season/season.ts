import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { SURVEY_SPREAD } from '@/core/season/thermal-spread'
import { DEFAULT_WEATHER_YEARS, pondSeason, type Season, type SeasonPond } from '@/core/season/windows'
import type { FirmId } from '@/domain/shared/ids'
import { TREE_EFFECT, type PondInContext } from '@/domain/ponds/pond'
import { SEASON_BASE_YEAR } from '@/domain/season/season-dates'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { houseRulesAt, seasonRulesOf, type HouseRules } from '@/domain/house-rules/house-rules'
import { findCalibration, findSeason, findTwinSeason, storeSeason } from '@/server/season/season-repository'
import { findSite } from '@/server/customers/customer-repository'
import type { WeatherStation } from '@/server/platform/gateways/weather'

const SEED = 4711
/** Counts the ways in which seasons are worked out: by another one they are worked out anew. */
export const SEASON_METHOD = 2

export const round = (digits: number) => (_key: string, value: unknown) =>
  typeof value === 'number' ? Number(value.toFixed(digits)) : value

/**
 * The expected year of a pond: kept ready, and worked out again whenever something it hangs on has changed.
 * @returns null when no weather station's normals are known yet
 */
export async function seasonOf(
  trx: Knex.Transaction,
  firmId: FirmId,
  pond: PondInContext,
  house: HouseRules,
  stations: readonly WeatherStation[],
): Promise<Season | null> {
  const site = await findSite(trx, pond.siteId)
  const station = stations.find((s) => s.id === site?.stationId) ?? stations[0]
  if (!station) return null
  const calibration = await findCalibration(trx, pond.id)
  const input = {
    pond: { ...thermalPond(pond), ...calibration?.fit },
    spread: calibration?.spread ?? SURVEY_SPREAD,
    station: station.normals,
    rules: seasonRulesOf(houseRulesAt(house, pond.ownRules)),
    year: SEASON_BASE_YEAR,
    weatherYears: DEFAULT_WEATHER_YEARS,
    seed: SEED,
  }
  const inputHash = createHash('sha256')
    .update(JSON.stringify([SEASON_METHOD, input]))
    .digest('hex')
  const kept = await findSeason(trx, pond.id, inputHash)
  if (kept) return kept
  const season =
    (await findTwinSeason(trx, inputHash)) ?? (JSON.parse(JSON.stringify(pondSeason(input), round(3))) as Season)
  await storeSeason(trx, firmId, { pondId: pond.id, inputHash, ...briefOf(season) }, season)
  return season
}

/** The middle of each week's water, and each window's dates: what lists over many ponds read. */
export const briefOf = (season: Season) => ({
  from: season.from,
  weeklyC: Array.from({ length: 52 }, (_, week) => season.waterC[Math.min(364, week * 7 + 3)]!.p50),
  windows: season.windows.map(({ job, kind, earliest, best, latest }) => ({ job, kind, earliest, best, latest })),
})

/** A pond as the survey and its trees have it meet the weather. */
export function thermalPond(pond: PondInContext): SeasonPond {
  const { shade, windShare } = TREE_EFFECT[pond.trees]
  return { meanDepthM: savedPondFacts(pond).basin.meanDepthM, shade, windShare, altitudeM: pond.altitudeM }
}
