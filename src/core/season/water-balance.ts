import { assertInRange } from '../errors'
import { addDays, dayOfYear, type IsoDate } from '../numeric/calendar'
import { openWaterEvaporationMmPerD } from './evaporation'
import { SPLASH, weighLeaks, type LeakBelief, type LossSeen } from './leak-hypotheses'
import type { DatedWeather } from './weather-ahead'
import { normalOn, normalsAtHeight, type StationNormals } from './station'

/** A drop of the pond's level between two looks. */
export interface LevelLog {
  readonly day: IsoDate
  /** Hours between the looks. */
  readonly hours: number
  /** Fall of the pond's level, mm; negative when it rose. */
  readonly dropMm: number
  /** Fall in a bucket of pond water standing in the pond; it sees the same weather and cannot leak. */
  readonly bucketDropMm: number | null
  readonly pumpOn: boolean
  /** Water that was added between the looks, m³. */
  readonly addedM3: number
}

export const LEVEL_LOG_RANGE = {
  hours: [2, 240],
  dropMm: [-200, 500],
  bucketDropMm: [-200, 100],
  addedM3: [0, 500],
} as const

/** Weather of a day as a pond loses and gains by it. */
export interface DayLoss {
  readonly evaporationMm: number
  readonly rainMm: number
  /** Measured that day, rather than usual for the time of year. */
  readonly observed: boolean
}

/** What trees and walls leave of sun and wind at a pond. */
export interface PondExposure {
  readonly shade: number
  readonly windShare: number
  readonly altitudeM: number
}

/**
 * How well things are known: of a look, of a bucket, of evaporation reckoned from the weather (shared by all looks of
 * a pond, and of one look alone), of rain.
 * @source reading a ruler to a millimetre or so; Penman against pans some 15–25 %; year-to-year spread of days
 */
const SPREAD = {
  readingMm: 1.5,
  bucketMm: 0.6,
  observedShare: 0.2,
  usualShare: 0.3,
  observedDay: 0.15,
  usualDay: 0.35,
  dayMm: 0.4,
  rainShare: 0.35,
  addedShare: 0.05,
} as const

/** Evaporation of a pond's open water on a day of known weather, mm/d, rain not taken off. */
export const evaporationOfDayMm = (station: StationNormals, exposure: PondExposure, day: DatedWeather): number =>
  openWaterEvaporationMmPerD({
    date: day.date,
    latitudeDeg: station.latitudeDeg,
    minAirC: day.minAirC,
    maxAirC: day.maxAirC,
    humidityPercent: day.humidityPercent,
    windMPerS: day.windMPerS * exposure.windShare,
    sunshineH: day.sunshineH * (1 - exposure.shade),
    altitudeM: exposure.altitudeM,
  })

/** The same as the station's normals have the day. */
export const expectedEvaporationMmPerD = (station: StationNormals, exposure: PondExposure, date: IsoDate): number =>
  evaporationOfDayMm(station, exposure, {
    ...normalOn(normalsAtHeight(station, exposure.altitudeM), dayOfYear(date)),
    date,
  })

export interface LossVerdict {
  /** What still water and, with the pump on, usual falls would lose, mm/d. */
  readonly expectedMmPerD: number
  /** What was lost: rain and what was added are counted in. */
  readonly measuredMmPerD: number
  readonly excessMmPerD: number
}

export type LeakAdvice = 'evaporation' | 'shell' | 'moving-water' | 'try-pump-off' | 'undecided' | 'no-logs'

export interface WaterBalance {
  readonly on: LossVerdict | null
  readonly off: LossVerdict | null
  /** Likelihoods of a leak, by all looks together; null where there are none. */
  readonly leak: LeakBelief | null
  readonly advice: LeakAdvice
  /** Expected and excess loss over a week, m³. */
  readonly topUpM3PerWeek: number
}

/** From here a leak is named, and a look with the pump off would still decide. @source house default */
const LIKELY = 0.75
/** Beside falls that throw much a leak is named later: both lose with the pump on only. @source house default */
const LIKELY_MOVING = 0.96
const OPEN = 0.25

/**
 * Evaporation or a leak: level logs with the pump on and off against a bucket or the weather, with rain and what was
 * added.
 * @param weather of a day, at the pond
 * @source bucket test as in any leak guide; see {@link weighLeaks}
 */
export function waterBalance(
  logs: readonly LevelLog[],
  weather: (date: IsoDate) => DayLoss,
  pondAreaM2: number,
  today: IsoDate,
): WaterBalance {
  logs.forEach((log, i) => {
    assertInRange(`logs.${i}.hours`, log.hours, LEVEL_LOG_RANGE.hours)
    assertInRange(`logs.${i}.dropMm`, log.dropMm, LEVEL_LOG_RANGE.dropMm)
    assertInRange(`logs.${i}.addedM3`, log.addedM3, LEVEL_LOG_RANGE.addedM3)
  })
  const seen = logs.map((log) => seenOf(log, weather, pondAreaM2))
  const [on, off] = [true, false].map((pumpOn) => verdictOf(seen.filter((look) => look.pumpOn === pumpOn)))
  const leak = seen.length > 0 ? weighLeaks(seen) : null
  const leakMmPerD = leak ? leak.shellMmPerD + leak.movingMmPerD : 0
  const usualMmPerD = weather(today).evaporationMm * (1 + SPLASH.share) + leakMmPerD
  return {
    on: on!,
    off: off!,
    leak,
    advice: adviceFor(leak, off !== null),
    topUpM3PerWeek: (usualMmPerD / 1000) * 7 * pondAreaM2,
  }
}

function adviceFor(leak: LeakBelief | null, seenOff: boolean): LeakAdvice {
  if (!leak) return 'no-logs'
  const any = leak.shell + leak.movingWater
  if (leak.shell >= LIKELY) return 'shell'
  if (leak.movingWater >= LIKELY_MOVING) return 'moving-water'
  if (any >= LIKELY) return seenOff ? 'undecided' : 'try-pump-off'
  return any >= OPEN ? 'undecided' : 'evaporation'
}

/** A look with all that bears on it. */
function seenOf(log: LevelLog, weather: (date: IsoDate) => DayLoss, pondAreaM2: number): LossSeen {
  const days = log.hours / 24
  const { evaporationMm, rainMm, observed } = between(log, weather)
  const addedMm = (1000 * log.addedM3) / pondAreaM2
  const look = SPREAD.readingMm + SPREAD.addedShare * addedMm
  if (log.bucketDropMm !== null)
    // the bucket stands in the same rain
    return {
      lostMmPerD: (log.dropMm + addedMm) / days,
      stillMmPerD: log.bucketDropMm / days,
      ownSdMmPerD: Math.hypot(look, SPREAD.bucketMm) / days,
      sharedShare: 0,
      pumpOn: log.pumpOn,
    }
  const stillMmPerD = evaporationMm / days
  const dayShare = observed ? SPREAD.observedDay : SPREAD.usualDay
  return {
    lostMmPerD: (log.dropMm + addedMm + rainMm) / days,
    stillMmPerD,
    ownSdMmPerD: Math.hypot(look / days, dayShare * stillMmPerD + SPREAD.dayMm, (SPREAD.rainShare * rainMm) / days),
    sharedShare: observed ? SPREAD.observedShare : SPREAD.usualShare,
    pumpOn: log.pumpOn,
  }
}

/** Weather between two looks, the second at noon of its day: when it was is not on file. */
function between({ day, hours }: LevelLog, weather: (date: IsoDate) => DayLoss): DayLoss {
  const until = 0.5
  const from = until - hours / 24
  let sum: DayLoss = { evaporationMm: 0, rainMm: 0, observed: true }
  for (let back = Math.floor(from); back < until; back++) {
    const part = Math.min(until, back + 1) - Math.max(from, back)
    if (part <= 0) continue
    const of = weather(addDays(day, back))
    sum = {
      evaporationMm: sum.evaporationMm + part * of.evaporationMm,
      rainMm: sum.rainMm + part * of.rainMm,
      observed: sum.observed && of.observed,
    }
  }
  return sum
}

/** Looks of one kind together, each as far as it is known, for a person to read. */
function verdictOf(seen: readonly LossSeen[]): LossVerdict | null {
  if (seen.length === 0) return null
  const weight = (look: LossSeen) => 1 / look.ownSdMmPerD ** 2
  const weights = seen.reduce((sum, look) => sum + weight(look), 0)
  const mean = (of: (look: LossSeen) => number) =>
    seen.reduce((sum, look) => sum + of(look) * weight(look), 0) / weights
  const measuredMmPerD = mean((look) => look.lostMmPerD)
  const expectedMmPerD = mean((look) => look.stillMmPerD * (look.pumpOn ? 1 + SPLASH.share : 1))
  return { expectedMmPerD, measuredMmPerD, excessMmPerD: measuredMmPerD - expectedMmPerD }
}
