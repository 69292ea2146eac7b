import { z } from 'zod'
import { askJson } from './ask'
import { calendarDay } from '@/domain/shared/fields'
import type { StationNormals } from '@/core/season/station'
import type { DatedWeather } from '@/core/season/weather-ahead'

/** A weather source: stations with their usual months, days that were observed, forecast days, and the newest hour. */
export interface WeatherSource {
  stations(): Promise<WeatherStation[]>
  /** Observed days from one to another, both included; days that are not over are left out. */
  days(stationId: string, from: string, to: string): Promise<DatedWeather[]>
  forecast(stationId: string): Promise<WeatherForecast>
  /** The newest hour observed on a day; null when there is none yet. */
  lastHour(stationId: string, day: string): Promise<WeatherHour | null>
}

export interface WeatherStation {
  readonly id: string
  readonly name: string
  readonly normals: StationNormals
}

const month = z.object({
  minAirC: z.number(),
  maxAirC: z.number(),
  sdC: z.number(),
  humidityPercent: z.number(),
  windMPerS: z.number(),
  sunshineH: z.number(),
  rainMm: z.number(),
})
const Stations = z.object({
  stations: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      normals: z.object({ latitudeDeg: z.number(), altitudeM: z.number(), months: z.array(month).length(12) }),
    }),
  ),
})
const WeatherDayRecord = z.object({
  date: calendarDay,
  minAirC: z.number().min(-60).max(50),
  maxAirC: z.number().min(-60).max(60),
  humidityPercent: z.number().min(0).max(100),
  windMPerS: z.number().min(0).max(80),
  sunshineH: z.number().min(0).max(24),
  rainMm: z.number().min(0).max(1000),
})
const Days = z.object({ days: z.array(WeatherDayRecord) })
export const WeatherForecast = z.object({ issued: calendarDay, days: z.array(WeatherDayRecord) })
export type WeatherForecast = z.infer<typeof WeatherForecast>
export const WeatherHour = z.object({
  at: z.string(),
  airC: z.number(),
  humidityPercent: z.number(),
  windMPerS: z.number(),
  rainMm: z.number(),
})
export type WeatherHour = z.infer<typeof WeatherHour>
const Hours = z.object({ hours: z.array(WeatherHour) })

const TIMEOUT_MS = 1500

/** The weather desk over HTTP; any service that answers these addresses in this shape will do. */
export function weatherDesk(baseUrl: string): WeatherSource {
  const ask = async <Schema extends z.ZodType>(path: string, schema: Schema): Promise<z.output<Schema>> => {
    return schema.parse(await askJson(new URL(path, baseUrl), { timeoutMs: TIMEOUT_MS }))
  }
  const at = (stationId: string) => `/stations/${encodeURIComponent(stationId)}`
  return {
    stations: async () => (await ask('/stations', Stations)).stations,
    days: async (stationId, from, to) => (await ask(`${at(stationId)}/days?from=${from}&to=${to}`, Days)).days,
    forecast: (stationId) => ask(`${at(stationId)}/forecast`, WeatherForecast),
    lastHour: async (stationId, day) =>
      (await ask(`${at(stationId)}/hours?from=${day}&to=${day}`, Hours)).hours.at(-1) ?? null,
  }
}
