import type { PondEvent } from '../src/core/ecosystem/events'
import type { ObservedKind } from '../src/core/assimilation/observed'
import type { EcoPond } from '../src/core/ecosystem/pond'
import { addDays, daysBetween, type IsoDate } from '../src/core/numeric/calendar'
import type { ThermalFit } from '../src/core/season/thermal-spread'
import { plainDayOfYear } from '../src/core/season/season-year'
import { weatherAtHeight } from '../src/core/season/weather-ahead'
import { eventsOfVisits } from '../src/domain/forecasts/eco-events'
import type { PondId } from '../src/domain/shared/ids'
import { savedPondFacts } from '../src/domain/ponds/pond-facts'
import type { Actor } from '../src/server/platform/auth/actor'
import { database } from '../src/server/platform/db/connection'
import { inFirm } from '../src/server/platform/db/firm-transaction'
import { findPond } from '../src/server/ponds/pond-repository'
import { listDoneVisitDays } from '../src/server/visits/visit-repository'
import { listStations } from '../src/server/season/weather-repository'
import { pondModel } from '../src/server/forecasts/pond-model'
import { actualDays } from '../stand-ins/weather-desk/actual'
import { STATIONS } from '../stand-ins/weather-desk/stations'
import { SITES } from './all-sites'
import { otherPond } from './other-pond'

/** What a pond is truly like: nobody at the firm knows, and no forecast is told. */
export interface PondNature {
  /** Picks what happens there that nobody writes down. */
  readonly seed: number
  /** How this pond's water truly answers to the weather; its survey guesses otherwise. */
  readonly thermal: ThermalFit
  readonly start: 'settled' | 'green'
  /** Feed given as a multiple of the fish's ration: at the beginning of the two years, and today. */
  readonly fed: readonly [number, number]
  /** What the strips of this pond's crew show of what is there. */
  readonly strips: Readonly<Partial<Record<ObservedKind, number>>>
}

export const HISTORY_DAYS = 730
/** Before anyone tests, the pond has lived a year. */
const RUN_IN_DAYS = 365
const FEED_CHANGES_DAYS = 30
export interface TrueWater {
  /** What is in the water at test time on a day. */
  readonly at: (day: IsoDate, kind: ObservedKind) => number
  /** No hand is seen deeper, m. */
  readonly deepestM: number
}

/**
 * The water that a pond truly had over the last two years: by the weather that truly came, what was done at it, and
 * its nature. It is none of the simulator's: forecasts would be checked against their own equations.
 */
export async function trueWater(actor: Actor, pondId: PondId, nature: PondNature, today: IsoDate): Promise<TrueWater> {
  const from = addDays(today, -HISTORY_DAYS - RUN_IN_DAYS)
  const days = daysBetween(from, today)
  const { pond, deepestM, siteName, altitudeM, visits } = await inFirm(actor.firmId, async (trx) => {
    const found = (await findPond(trx, pondId))!
    const model = (await pondModel(trx, actor, found, await listStations(database()), today))!
    const { maxDepthM: deepestM } = savedPondFacts(found).basin
    return {
      pond: model.eco,
      deepestM,
      siteName: found.siteName,
      altitudeM: found.altitudeM,
      visits: await listDoneVisitDays(trx, pondId, from),
    }
  })
  const station = STATIONS.find((s) => s.id === SITES.find((site) => site.site === siteName)!.stationId)!
  const water = otherPond({
    pond: { ...pond, ...nature.thermal, fish: { ...pond.fish, feedFactor: nature.fed[0] } } satisfies EcoPond,
    weather: weatherAtHeight(actualDays(station.id, from, today), station.normals.altitudeM, altitudeM),
    startDay: plainDayOfYear(from),
    events: [...feedings(nature, days), ...eventsOfVisits(visits, from)],
    seed: nature.seed,
    start: nature.start,
  })
  return { at: (day, kind) => water[daysBetween(from, day)]![kind]! * (nature.strips[kind] ?? 1), deepestM }
}

/** Fish grow and are given more, a little every month. */
const feedings = ({ fed: [then, now] }: PondNature, days: number): PondEvent[] =>
  Array.from({ length: Math.floor(HISTORY_DAYS / FEED_CHANGES_DAYS) }, (_, i) => ({
    kind: 'feed',
    day: days - HISTORY_DAYS + i * FEED_CHANGES_DAYS,
    factor: then + ((now - then) * i * FEED_CHANGES_DAYS) / HISTORY_DAYS,
  }))
