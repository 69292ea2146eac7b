import { z } from 'zod'
import type { StationNormals } from '@/core/season/station'

/** A weather source: where stations are and what their months are usually like. */
export interface WeatherSource {
  stations(): Promise<WeatherStation[]>
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
const Answer = z.object({
  stations: z.array(
    z.object({ id: z.string(), name: z.string(), normals: z.object({ latitudeDeg: z.number(), altitudeM: z.number(), months: z.array(month).length(12) }) }),
  ),
})

const TIMEOUT_MS = 1500

/** The weather desk over HTTP; any service that answers GET /stations in this shape will do. */
export function weatherDesk(baseUrl: string): WeatherSource {
  return {
    stations: async () => {
      const response = await fetch(new URL('/stations', baseUrl), { signal: AbortSignal.timeout(TIMEOUT_MS) })
      if (!response.ok) throw new Error(`The weather desk answered ${response.status}`)
      return Answer.parse(await response.json()).stations
    },
  }
}
