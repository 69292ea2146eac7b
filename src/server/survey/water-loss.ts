import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { addDays, dayOfYear } from '@/core/numeric/calendar'
import { normalOn } from '@/core/season/station'
import { weatherAtHeight } from '@/core/season/weather-ahead'
import {
  evaporationOfDayMm,
  expectedEvaporationMmPerD,
  waterBalance,
  type DayLoss,
  type LevelLog,
  type WaterBalance,
} from '@/core/season/water-balance'
import type { PondId } from '@/domain/shared/ids'
import type { LevelLogInput } from '@/domain/survey/level-log'
import { TREE_EFFECT, type PondInContext } from '@/domain/ponds/pond'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { badField, notFound } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { findSite } from '@/server/customers/customer-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { insertLevelLog, listLevelLogs } from '@/server/survey/level-log-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { listWeatherDays } from '@/server/season/weather-repository'
import type { WeatherStation } from '@/server/platform/gateways/weather'
import { todayIn } from '@/server/platform/today'
import { said } from '@/domain/shared/said'

/** Older logs tell of another leak, or of none. */
const LOGS_COUNT_DAYS = 45
/** Between two looks lie so many days at most. */
const LONGEST_LOOK_DAYS = 11
const DAYS_PER_MONTH = 30.4

export interface WaterLoss {
  readonly balance: WaterBalance
  readonly logs: readonly LevelLog[]
  readonly expectedMmPerD: number
}

/** What a pond should lose just now and what its logs say it loses; null while no weather is known. */
export async function waterLoss(
  trx: Knex.Transaction,
  pond: PondInContext,
  stations: readonly WeatherStation[],
  today: string,
): Promise<WaterLoss | null> {
  const site = await findSite(trx, pond.siteId)
  const station = stations.find((s) => s.id === site?.stationId) ?? stations[0]
  if (!station) return null
  const exposure = { ...TREE_EFFECT[pond.trees], altitudeM: pond.altitudeM }
  const logs = await listLevelLogs(trx, pond.id, addDays(today, -LOGS_COUNT_DAYS))
  const since = addDays(today, -LOGS_COUNT_DAYS - LONGEST_LOOK_DAYS)
  const days = await listWeatherDays(trx, station.id, since)
  const seen = weatherAtHeight(days, station.normals.altitudeM, pond.altitudeM).filter((d) => d.date <= today)
  const observed = new Map(
    seen.map((d): [string, DayLoss] => [
      d.date,
      { evaporationMm: evaporationOfDayMm(station.normals, exposure, d), rainMm: d.rainMm, observed: true },
    ]),
  )
  const usual = (day: string): DayLoss => ({
    evaporationMm: expectedEvaporationMmPerD(station.normals, exposure, day),
    rainMm: normalOn(station.normals, dayOfYear(day)).rainMm / DAYS_PER_MONTH,
    observed: false,
  })
  const weather = (day: string): DayLoss => observed.get(day) ?? usual(day)
  return {
    balance: waterBalance(logs, weather, savedPondFacts(pond).basin.areaM2, today),
    logs,
    expectedMmPerD: weather(today).evaporationMm,
  }
}

export async function logLevel(actor: Actor, pondId: PondId, input: LevelLogInput): Promise<void> {
  assertMay(actor, 'visits.log')
  if (input.day > todayIn(actor.timeZone)) throw badField('day', said('kit.problems.dayStillCome'))
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    await insertLevelLog(trx, randomUUID(), actor.firmId, pondId, actor.userId, input)
  })
}
