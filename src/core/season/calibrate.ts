import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import { addDays, daysBetween, type IsoDate } from '../numeric/calendar'
import { leastSquares } from '../numeric/least-squares'
import { THERMAL_BOUNDS, THERMAL_SPREAD, type ThermalFit, type ThermalSpread } from './thermal-spread'
import { type DatedWeather } from './weather-ahead'
import { plainDayOfYear } from './season-year'
import { waterTemperatures, type ThermalPond } from './water-temperature'

export interface WaterReading {
  readonly date: IsoDate
  readonly waterC: number
}

export interface Calibration {
  /** 'few': too few readings. 'no-better': what was learnt did not foretell readings it had not seen. */
  readonly status: 'used' | 'few' | 'no-better'
  readonly fit: ThermalFit | null
  /** What the readings leave unknown of it; null without a fit. */
  readonly spread: ThermalSpread | null
  /** How much more the thermometer shows than the water has, as far as the readings tell, °C. */
  readonly probeOffsetC: number
  readonly readings: number
  readonly from: IsoDate | null
  readonly to: IsoDate | null
  /** Root mean square of modelled less measured over all readings, °C: by the survey alone, and with the fit. */
  readonly surveyErrorC: number
  readonly fitErrorC: number
  /** The same on readings that the fit had not seen. */
  readonly heldOut: { readonly readings: number; readonly surveyErrorC: number; readonly fitErrorC: number } | null
}

/** How well a reading tells its pond's mean, and how far a thermometer may be off, °C. @source house defaults */
const READING_C = 0.8
const PROBE_C = 1
/** Readings of one summer miss alike, so that they tell less than as many on their own. @source house default */
const ALIKE = 2
/** Errors follow Student's t with so few degrees of freedom: one reading at the outlet carries no fit away. */
const FREEDOM = 4
const MIN_READINGS = 8
const MIN_SPAN_DAYS = 60
const HOLD_OUT_EVERY = 4
/** Days run before the first reading. */
const RUN_IN_DAYS = 60
/** A fit must better the survey by this share on readings it has not seen. */
const WORTH = 0.97

/**
 * Fits shade, wind, air and depth of one pond, and how far its thermometer is off, to its readings under observed
 * weather: least squares with t errors, held near the survey by how far ponds usually stray.
 * Every fourth reading is kept aside first; the fit is used only when it foretells those better than the survey does.
 * @param weather observed days at the site's height; readings outside them are left out
 */
export function calibrate(
  pond: ThermalPond,
  weather: readonly DatedWeather[],
  readings: readonly WaterReading[],
): Calibration {
  const days = withoutGaps(weather)
  const usable = usableReadings(days, readings)
  const [first, last] = [usable[0], usable.at(-1)]
  const about = { readings: usable.length, from: first?.date ?? null, to: last?.date ?? null }
  const survey = asFit(pond)
  if (!first || usable.length < MIN_READINGS || daysBetween(first.date, last!.date) < MIN_SPAN_DAYS) {
    const errorC = usable.length > 0 ? errorOf(pond, survey, days, usable) : 0
    return {
      ...about,
      ...NOT_FITTED,
      status: 'few',
      surveyErrorC: errorC,
      fitErrorC: errorC,
      heldOut: null,
    }
  }
  const aside = usable.filter((_, i) => i % HOLD_OUT_EVERY === HOLD_OUT_EVERY - 1)
  const shown = usable.filter((_, i) => i % HOLD_OUT_EVERY !== HOLD_OUT_EVERY - 1)
  const partial = fitTo(pond, days, shown)
  const heldOut = {
    readings: aside.length,
    surveyErrorC: errorOf(pond, survey, days, aside),
    fitErrorC: errorOf(pond, partial.fit, days, aside, partial.probeOffsetC),
  }
  const surveyErrorC = errorOf(pond, survey, days, usable)
  if (heldOut.fitErrorC >= WORTH * heldOut.surveyErrorC)
    return { ...about, ...NOT_FITTED, status: 'no-better', surveyErrorC, fitErrorC: surveyErrorC, heldOut }
  const fitted = fitTo(pond, days, usable)
  const fitErrorC = errorOf(pond, fitted.fit, days, usable, fitted.probeOffsetC)
  return { ...about, ...fitted, status: 'used', surveyErrorC, fitErrorC, heldOut }
}

const NOT_FITTED = { fit: null, spread: null, probeOffsetC: 0 } as const

const asFit = (pond: ThermalPond): ThermalFit => ({
  shade: pond.shade,
  windShare: pond.windShare,
  airOffsetC: 0,
  depthShare: 1,
})

/** One mean reading a day, within the weather known, in order. */
function usableReadings(days: readonly DatedWeather[], readings: readonly WaterReading[]): WaterReading[] {
  if (days.length === 0) return []
  const [from, to] = [days[0]!.date, days[days.length - 1]!.date]
  const byDate = new Map<IsoDate, number[]>()
  for (const r of readings)
    if (r.date >= from && r.date <= to) byDate.set(r.date, [...(byDate.get(r.date) ?? []), r.waterC])
  return [...byDate]
    .map(([date, values]) => ({ date, waterC: values.reduce((a, b) => a + b, 0) / values.length }))
    .sort((a, b) => a.date.localeCompare(b.date))
}

/** Modelled water on the days of some readings. */
function modelled(
  pond: ThermalPond,
  fit: ThermalFit,
  days: readonly DatedWeather[],
  readings: readonly WaterReading[],
): number[] {
  const begin = Math.max(0, daysBetween(days[0]!.date, readings[0]!.date) - RUN_IN_DAYS)
  const end = daysBetween(days[0]!.date, readings[readings.length - 1]!.date)
  const run = days.slice(begin, end + 1)
  const start = { waterC: Math.max(0, (run[0]!.minAirC + run[0]!.maxAirC) / 2), iceM: 0 }
  const water = waterTemperatures(run, { ...pond, ...fit }, start, plainDayOfYear(run[0]!.date))
  return readings.map((r) => water[daysBetween(run[0]!.date, r.date)]!.waterC)
}

function errorOf(
  pond: ThermalPond,
  fit: ThermalFit,
  days: readonly DatedWeather[],
  readings: readonly WaterReading[],
  probeOffsetC = 0,
): number {
  const model = modelled(pond, fit, days, readings)
  return Math.sqrt(
    readings.reduce((sum, r, i) => sum + (model[i]! + probeOffsetC - r.waterC) ** 2, 0) / readings.length,
  )
}

function fitTo(
  pond: ThermalPond,
  days: readonly DatedWeather[],
  readings: readonly WaterReading[],
): Pick<Calibration, 'probeOffsetC'> & { readonly fit: ThermalFit; readonly spread: ThermalSpread } {
  const read = ([shade, logWind, airOffsetC, logDepth]: readonly number[]): ThermalFit => ({
    shade: shade!,
    windShare: Math.exp(logWind!),
    airOffsetC: airOffsetC!,
    depthShare: Math.exp(logDepth!),
  })
  const start = [pond.shade, Math.log(pond.windShare), 0, 0, 0]
  const { shade, logWind, airOffsetC, logDepth } = THERMAL_BOUNDS
  const { point, covariance } = leastSquares({
    start,
    bounds: [shade, logWind, airOffsetC, logDepth, [-PROBE_BOUND_C, PROBE_BOUND_C]],
    residuals: (p) => [
      ...modelled(pond, read(p), days, readings).map((c, i) => calm((c + p[4]! - readings[i]!.waterC) / READING_C)),
      (p[0]! - start[0]!) / THERMAL_SPREAD.shade,
      (p[1]! - start[1]!) / THERMAL_SPREAD.logWind,
      p[2]! / THERMAL_SPREAD.airOffsetC,
      p[3]! / THERMAL_SPREAD.logDepth,
      p[4]! / PROBE_C,
    ],
  })
  const known = covariance().slice(0, 4)
  // the two halves of an inverse differ in their last digits
  const ofPond = new Matrix(known.map((row, i) => row.slice(0, 4).map((c, k) => (ALIKE * (c + known[k]![i]!)) / 2)))
  return {
    fit: read(point),
    spread: new CholeskyDecomposition(ofPond).lowerTriangularMatrix.to2DArray(),
    probeOffsetC: point[4]!,
  }
}
const PROBE_BOUND_C = 5

/**
 * A residual whose square is what Student's t makes of it: small ones as they are, large ones less.
 * @source minus twice the logarithm of the density, but for a constant
 */
const calm = (residual: number): number =>
  Math.sign(residual) * Math.sqrt((FREEDOM + 1) * Math.log1p(residual ** 2 / FREEDOM))

/** Missing days take over the weather of the day before. */
function withoutGaps(weather: readonly DatedWeather[]): DatedWeather[] {
  const sorted = [...weather].sort((a, b) => a.date.localeCompare(b.date))
  const filled: DatedWeather[] = []
  for (const day of sorted) {
    for (let last = filled.at(-1); last && addDays(last.date, 1) < day.date; last = filled.at(-1))
      filled.push({ ...last, date: addDays(last.date, 1) })
    if (filled.at(-1)?.date !== day.date) filled.push(day)
  }
  return filled
}
