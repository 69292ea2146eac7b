import { assertInRange } from '../errors'
import { dayOfYear, type IsoDate } from '../numeric/calendar'
import { openWaterEvaporationMmPerD } from './evaporation'
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
}

export const LEVEL_LOG_RANGE = { hours: [2, 240], dropMm: [-200, 500], bucketDropMm: [-200, 100] } as const

/** What trees and walls leave of sun and wind at a pond. */
export interface PondExposure {
  readonly shade: number
  readonly windShare: number
  readonly altitudeM: number
}

/**
 * Falls and streams wet stone and throw drops: share added to the still surface's evaporation.
 * @source trade rule, 10–30 % by wetted area
 */
const MOVING_WATER_EXTRA = 0.2

/**
 * How well things are known.
 * @source reading a ruler to a millimetre or so; year-to-year spread of daily evaporation
 */
const SPREAD = { readingMm: 1.5, bucketMm: 0.6, expectedShare: 0.35, expectedMm: 0.6 } as const

/** Before any log: one pond in five that is asked about leaks, and then by some 10 mm a day. @source house default */
const BEFORE = { leaks: 0.2, meanLeakMmPerD: 10 } as const

/** Evaporation expected from a pond's open water on a day by the station's normals, mm/d, rain not taken off. */
export function expectedEvaporationMmPerD(station: StationNormals, exposure: PondExposure, date: IsoDate): number {
  const normal = normalOn(normalsAtHeight(station, exposure.altitudeM), dayOfYear(date))
  return openWaterEvaporationMmPerD({
    date,
    latitudeDeg: station.latitudeDeg,
    minAirC: normal.minAirC,
    maxAirC: normal.maxAirC,
    humidityPercent: normal.humidityPercent,
    windMPerS: normal.windMPerS * exposure.windShare,
    sunshineH: normal.sunshineH * (1 - exposure.shade),
    altitudeM: exposure.altitudeM,
  })
}

export interface LossVerdict {
  /** What still water and, with the pump on, falls would lose, mm/d. */
  readonly expectedMmPerD: number
  readonly measuredMmPerD: number
  readonly excessMmPerD: number
  readonly leakLikelihood: number
}

export type LeakAdvice = 'evaporation' | 'shell' | 'moving-water' | 'try-pump-off' | 'no-logs'

export interface WaterBalance {
  readonly on: LossVerdict | null
  readonly off: LossVerdict | null
  readonly advice: LeakAdvice
  /** Expected and excess loss over a week, m³. */
  readonly topUpM3PerWeek: number
}

const LIKELY = 0.7

/**
 * Evaporation or a leak: level logs with the pump on and off against a bucket or the expected evaporation.
 * @param evaporation expected for a day, mm/d
 * @source bucket test as in any leak guide; two hypotheses weighed by Bayes' rule, a leak's rate exponential
 */
export function waterBalance(
  logs: readonly LevelLog[],
  evaporation: (date: IsoDate) => number,
  pondAreaM2: number,
  today: IsoDate,
): WaterBalance {
  logs.forEach((log, i) => {
    assertInRange(`logs.${i}.hours`, log.hours, LEVEL_LOG_RANGE.hours)
    assertInRange(`logs.${i}.dropMm`, log.dropMm, LEVEL_LOG_RANGE.dropMm)
  })
  const on = judge(
    logs.filter((log) => log.pumpOn),
    evaporation,
  )
  const off = judge(
    logs.filter((log) => !log.pumpOn),
    evaporation,
  )
  const usual =
    (evaporation(today) * (1 + MOVING_WATER_EXTRA) + Math.max(0, on?.excessMmPerD ?? off?.excessMmPerD ?? 0)) / 1000
  return { on, off, advice: adviceFor(on, off), topUpM3PerWeek: usual * 7 * pondAreaM2 }
}

function adviceFor(on: LossVerdict | null, off: LossVerdict | null): LeakAdvice {
  if (!on && !off) return 'no-logs'
  if (off && off.leakLikelihood >= LIKELY) return 'shell'
  if (on && on.leakLikelihood >= LIKELY) return off ? 'moving-water' : 'try-pump-off'
  return 'evaporation'
}

/** Logs of one kind together, each weighed by how well it is known. */
function judge(logs: readonly LevelLog[], evaporation: (date: IsoDate) => number): LossVerdict | null {
  if (logs.length === 0) return null
  const each = logs.map((log) => {
    const days = log.hours / 24
    const still = log.bucketDropMm === null ? evaporation(log.day) : log.bucketDropMm / days
    const expected = still * (log.pumpOn ? 1 + MOVING_WATER_EXTRA : 1)
    const known =
      log.bucketDropMm === null ? SPREAD.expectedShare * Math.max(still, 0) + SPREAD.expectedMm : SPREAD.bucketMm / days
    const sigma = Math.hypot(SPREAD.readingMm / days, known)
    return { measured: log.dropMm / days, expected, weight: 1 / sigma ** 2 }
  })
  const weights = each.reduce((sum, e) => sum + e.weight, 0)
  const mean = (of: (e: (typeof each)[number]) => number) =>
    each.reduce((sum, e) => sum + of(e) * e.weight, 0) / weights
  const [measuredMmPerD, expectedMmPerD] = [mean((e) => e.measured), mean((e) => e.expected)]
  const excessMmPerD = measuredMmPerD - expectedMmPerD
  return {
    expectedMmPerD,
    measuredMmPerD,
    excessMmPerD,
    leakLikelihood: leakLikelihood(excessMmPerD, 1 / Math.sqrt(weights)),
  }
}

const STEPS = 400
const REACH = 8 // mean leaks that the sum reaches

function leakLikelihood(excess: number, sigma: number): number {
  const density = (x: number) => Math.exp(-(x ** 2) / (2 * sigma ** 2))
  const { leaks, meanLeakMmPerD } = BEFORE
  const step = (REACH * meanLeakMmPerD) / STEPS
  let withLeak = 0
  for (let i = 0; i < STEPS; i++) {
    const rate = (i + 0.5) * step
    withLeak += (Math.exp(-rate / meanLeakMmPerD) / meanLeakMmPerD) * density(excess - rate) * step
  }
  const without = density(excess)
  // far beyond everything both densities vanish; the sign then decides
  if (withLeak + without < 1e-300) return excess > 0 ? 1 : 0
  return (leaks * withLeak) / (leaks * withLeak + (1 - leaks) * without)
}
