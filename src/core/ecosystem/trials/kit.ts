import { dailyNormals } from '../../season/station'
import type { WeatherDay } from '../../season/weather-year'
import type { PondEvent } from '../events'
import type { ParameterValues } from '../parameters'
import type { EcoPond } from '../pond'
import { simulate, type EcoResult, type EcoRun } from '../simulate'
import { SAMPLE_POND, SAMPLE_STATION } from './sample-pond'

/**
 * What every pond keeper has seen, as trials of the model: each returns the figures it is judged by and whether it
 * holds.
 * Tests run them at the defaults with margins; the sensitivity report runs them over draws from the priors.
 */
export interface Behaviour {
  readonly key: string
  readonly words: string
  /** Share of draws from the priors in which it must hold; nine in ten where nothing is said. */
  readonly atLeast?: number
  readonly trial: (parameters: ParameterValues) => Trial
}

interface Trial {
  readonly holds: boolean
  readonly figures: Readonly<Record<string, number>>
}

const normals: readonly WeatherDay[] = dailyNormals(SAMPLE_STATION).map((day) => ({ ...day, rainMm: 2 }))
export const YEARS: readonly WeatherDay[] = [...normals, ...normals, ...normals]
export const FILTER = SAMPLE_POND.filter

/** An event at a day of the run. */
export const day = (kind: PondEvent['kind'], at: number, more: object = {}): PondEvent =>
  ({ kind, day: at, ...more }) as PondEvent

/** A year of the sample pond in its normal weather, changed where a trial asks for it. */
export function run(parameters: ParameterValues, changes: Partial<EcoRun>): EcoResult {
  const startDay = changes.startDay ?? 1
  const base: EcoRun = {
    pond: SAMPLE_POND,
    weather: YEARS.slice(startDay - 1),
    startDay,
    days: 365,
    events: [],
    start: { kind: 'settled' },
    every: 'day',
  }
  return simulate({ ...base, ...changes, parameters })
}

export const max = (values: Float64Array, from = 0, to = values.length): number =>
  values.slice(from, to).reduce((a, b) => Math.max(a, b), -Infinity)
export const min = (values: Float64Array, from = 0, to = values.length): number =>
  values.slice(from, to).reduce((a, b) => Math.min(a, b), Infinity)
export const mean = (values: Float64Array, from = 0, to = values.length): number =>
  values.slice(from, to).reduce((a, b) => a + b, 0) / (to - from)
export const dayOfMost = (values: Float64Array): number => values.indexOf(max(values))
/** First day on which a value is past an edge; Infinity when never. */
export const firstDay = (values: Float64Array, past: (value: number) => boolean): number => {
  const at = values.findIndex(past)
  return at < 0 ? Infinity : at
}
/** The sample pond with so much of its filter. */
export const withFilter = (share: number, pond: EcoPond = SAMPLE_POND): EcoPond => ({
  ...pond,
  filter: {
    ...FILTER,
    stoneM3: FILTER.stoneM3 * share,
    areaM2: FILTER.areaM2 * share,
    flowM3PerH: FILTER.flowM3PerH * share,
  },
})
