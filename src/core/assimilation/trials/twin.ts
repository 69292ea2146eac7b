import type { OutputName } from '../../ecosystem/outputs'
import type { EcoPond } from '../../ecosystem/pond'
import { simulate } from '../../ecosystem/simulate'
import { SAMPLE_POND, SAMPLE_STATION } from '../../ecosystem/trials/sample-pond'
import { addDays } from '../../numeric/calendar'
import { normalDeviate, seededRandom, type Random } from '../../numeric/random'
import { FORECAST_ERROR, forecastErrorC, type DatedWeather } from '../../season/weather-ahead'
import { plainDayOfYear } from '../../season/season-year'
import { nextWeather, startWalk } from '../../season/weather-year'
import { dailyNormals } from '../../season/station'
import { METHOD_STEPS, type ReadingMethod } from '../../water/test-methods'
import type { ParameterValues } from '../../ecosystem/parameters'
import { forecastPond, type ForecastMade } from '../forecast-pond'
import { asRead, OBSERVED, offScale, onScale, scatterOf, type ObservedKind } from '../observed'
import type { DatedReading } from '../reading'
import { drawTraits, parametersOf, pondOf } from '../traits'

/** How a trial's true pond differs from all that the model believes possible. */
export interface Twist {
  readonly pond?: (pond: EcoPond) => EcoPond
  readonly parameters?: (p: ParameterValues) => ParameterValues
}

export interface TwinTrial {
  readonly seed: number
  readonly method: ReadingMethod
  readonly twist?: Twist
  readonly size?: TwinSize
}

/** How much a trial takes upon itself: as the firm's ponds are forecast, or less where a few minutes must do. */
export interface TwinSize {
  readonly members: number
  readonly learnDays: number
}

const TESTED_EVERY_DAYS = 14
const AS_IN_USE: TwinSize = { members: 100, learnDays: 100 }
const RUN_IN_DAYS = 365
const AHEAD_DAYS = 21
const FORECAST_DAYS = 8
const DEEPEST_M = 1.4
const MORNING_RISE_MGL = 2
const TESTED: readonly ObservedKind[] = [
  'waterTemp',
  'ph',
  'tan',
  'nitrite',
  'nitrate',
  'kh',
  'orthophosphate',
  'clarityDepth',
]

/** What came true of the forecast's day, by output. */
export interface Twin {
  readonly made: ForecastMade
  readonly truth: Readonly<Record<OutputName, Float64Array>>
  readonly deepestM: number
  /** The readings that the forecast was made from. */
  readonly readings: readonly DatedReading[]
}

/**
 * One pond whose water is known to the day, tested every fortnight as crews test, and forecast as the firm's ponds
 * are: what was forecast stands beside what came.
 */
export function runTwin({ seed, method, twist = {}, size = AS_IN_USE }: TwinTrial): Twin {
  const { members, learnDays } = size
  const random = seededRandom(7_001 + 911 * seed)
  const today = addDays('2027-04-20', Math.floor(random() * 150))
  const from = addDays(today, -learnDays)
  const traits = drawTraits(random)
  const before = addDays(from, -RUN_IN_DAYS)
  const weather = weatherFrom(before, RUN_IN_DAYS + learnDays + AHEAD_DAYS, random)
  const usual = pondFor(random)
  const own = pondOf(usual, traits, 1)
  const truth = simulate({
    pond: twist.pond?.(own) ?? own,
    parameters: twist.parameters?.(parametersOf(traits)) ?? parametersOf(traits),
    weather,
    startDay: plainDayOfYear(before),
    days: weather.length,
    events: [],
    start: { kind: 'settled' },
    every: 'day',
    fishKept: true,
  }).series
  const at = (day: number) => RUN_IN_DAYS + day
  const readings = Array.from({ length: Math.floor(learnDays / TESTED_EVERY_DAYS) }, (_, i) => {
    const day = i * TESTED_EVERY_DAYS + 1 + Math.floor(random() * 4)
    const date = addDays(from, day)
    const of = (kind: ObservedKind) => truth[OBSERVED[kind].output][at(day)]!
    const test = (kind: ObservedKind, value: number, by: ReadingMethod) => tested(kind, value, date, by, random)
    return [
      ...TESTED.map((kind) => test(kind, of(kind), method)),
      // oxygen is met with a meter in the course of the morning, when the night's least is over
      test('dissolvedOxygen', of('dissolvedOxygen') + MORNING_RISE_MGL * random(), 'meter'),
    ]
  }).flat()
  const made = forecastPond({
    pond: usual,
    deepestM: DEEPEST_M,
    station: SAMPLE_STATION,
    known: {
      today,
      observed: weather.slice(RUN_IN_DAYS, at(learnDays)),
      forecast: forecastOf(weather.slice(at(learnDays)), random),
    },
    from,
    filter: null,
    readings,
    events: [],
    volumeSigmaShare: 0.08,
    scores: [],
    members,
  })
  const ahead = Object.fromEntries(Object.entries(truth).map(([name, series]) => [name, series.slice(at(learnDays))]))
  return { made, truth: ahead as Twin['truth'], deepestM: DEEPEST_M, readings }
}

/** A pond of the firm's: of several sizes, loads and beds. */
function pondFor(random: Random): EcoPond {
  const size = Math.exp(0.8 * normalDeviate(random))
  const load = Math.exp(0.6 * normalDeviate(random))
  const { fish, filter } = SAMPLE_POND
  return {
    ...SAMPLE_POND,
    volumeM3: 20 * size,
    areaM2: 25 * size,
    wallAreaM2: 45 * size,
    filter: {
      ...filter,
      stoneM3: filter.stoneM3 * size,
      areaM2: filter.areaM2 * size,
      flowM3PerH: filter.flowM3PerH * size,
    },
    fish: { ...fish, massKg: fish.massKg * size * load },
    leafKgPerYear: SAMPLE_POND.leafKgPerYear * size,
  }
}

function weatherFrom(from: string, days: number, random: Random): DatedWeather[] {
  const walk = startWalk(dailyNormals(SAMPLE_STATION), random)
  return Array.from({ length: days }, (_, i) => {
    const date = addDays(from, i)
    return { ...nextWeather(walk, plainDayOfYear(date)), date }
  })
}

/** The next days as a weather service would have told them. */
function forecastOf(came: readonly DatedWeather[], random: Random): DatedWeather[] {
  const { persistence } = FORECAST_ERROR
  let off = normalDeviate(random)
  return came.slice(0, FORECAST_DAYS).map((day, i) => {
    off = persistence * off + Math.sqrt(1 - persistence ** 2) * normalDeviate(random)
    const byC = off * forecastErrorC(i)
    return { ...day, minAirC: day.minAirC + byC, maxAirC: day.maxAirC + byC }
  })
}

/** What a crew writes down of the water that is there: with the test's scatter, and to the colours of its card. */
function tested(kind: ObservedKind, truth: number, day: string, method: ReadingMethod, random: Random): DatedReading {
  const sd = scatterOf(kind, method)
  const met = Math.max(0, offScale(kind, onScale(kind, truth) + sd * normalDeviate(random)))
  const value = asRead(kind, toCard(kind, method, met), DEEPEST_M)
  return { day, kind, value, method, belowStep: value === 0 && METHOD_STEPS[method][kind] !== undefined }
}

function toCard(kind: ObservedKind, method: ReadingMethod, value: number): number {
  const steps = METHOD_STEPS[method][kind]
  if (!steps) return Number(value.toFixed(2))
  return steps.reduce((best, step) => (Math.abs(step - value) < Math.abs(best - value) ? step : best))
}
