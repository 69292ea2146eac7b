import { DateTime } from 'luxon'
import { sunMinutes } from '@/core/season/sun'
import type { MapPoint } from '@/server/platform/gateways/roads'

/** One can work so long before sunrise and after sunset: civil twilight of the middle latitudes, minutes. */
const TWILIGHT_MIN = 30

/** From when until when there is light to work by, minutes of each day in the firm's time zone. */
export function lightOf(
  place: MapPoint,
  timeZone: string,
  days: readonly string[],
): Record<string, readonly [number, number]> {
  return Object.fromEntries(
    days.map((day) => {
      const { offset } = DateTime.fromISO(`${day}T12:00`, { zone: timeZone })
      const [rise, set] = sunMinutes(place.lat, place.lon, day, offset)
      return [day, [rise - TWILIGHT_MIN, set + TWILIGHT_MIN] as const]
    }),
  )
}
