import { assertInRange, DomainError } from '../errors'
import type { RunoffFrom } from './runoff'
import type { WeatherDay } from '../season/weather-year'

/** Kinds of plants that can be cut. */
export const CUT_PLANTS = ['marginals', 'floating', 'lilies', 'submerged'] as const
export type CutPlants = (typeof CUT_PLANTS)[number]

/**
 * What people, fish or the weather do to a pond at a time. Days count from the start of the run and may be parts of
 * days.
 */
export type PondEvent = { readonly day: number } & (
  | {
      readonly kind: 'feed'
      readonly factor?: number
      readonly protein?: number
      readonly feedFromC?: number
      readonly lowProteinBelowC?: number | null
    }
  /** Fish put in (or, below zero, taken out). */
  | { readonly kind: 'fish'; readonly massKg: number }
  | { readonly kind: 'pump'; readonly running: boolean }
  | { readonly kind: 'uv'; readonly on: boolean }
  | { readonly kind: 'aerator'; readonly gPerD: number }
  | { readonly kind: 'ice-hole'; readonly open: boolean }
  | { readonly kind: 'rinse-media'; readonly share: number; readonly water: 'pond' | 'tap' }
  | { readonly kind: 'flush'; readonly share: number }
  /** Stones and liner washed by pressure, with what lives on them. */
  | { readonly kind: 'wash-surfaces'; readonly share: number }
  | { readonly kind: 'water-change'; readonly fraction: number; readonly dechlorinated: boolean }
  /** Sediment, muck and leaves lifted off the floor. */
  | { readonly kind: 'vacuum'; readonly share: number }
  /** Plants cut and carried away, with what stands dead. */
  | { readonly kind: 'cut'; readonly plants: CutPlants; readonly share: number }
  | { readonly kind: 'pull-string-algae'; readonly share: number }
  /** Share of falling leaves that nets and skimmer keep out from now on. */
  | { readonly kind: 'net'; readonly keptShare: number }
  | { readonly kind: 'raise-kh'; readonly byDKH: number }
  | { readonly kind: 'salt'; readonly kg: number }
  | { readonly kind: 'dechlorinate' }
  /** Mature media or a culture: bacteria as a share of what the bed can hold. */
  | { readonly kind: 'seed-bacteria'; readonly share: number }
  | { readonly kind: 'flocculant' }
  /** Activated carbon put into the flow, dry. */
  | { readonly kind: 'carbon'; readonly kg: number }
  /** Dry leaves blown or washed in at once. */
  | { readonly kind: 'leaves'; readonly kg: number }
  /** Dust of gravel or stone that was not washed. */
  | { readonly kind: 'dust'; readonly gPerM3: number }
  /** Water that runs in over land, with what it brings. */
  | { readonly kind: 'runoff'; readonly from: RunoffFrom; readonly volumeM3: number }
  | { readonly kind: 'kill-algae'; readonly share: number }
  | { readonly kind: 'heatwave'; readonly days: number; readonly warmerC: number }
  | { readonly kind: 'storm'; readonly rainMm: number; readonly siltGPerM3: number }
)

/** What is done, without its time. */
export type PondDeed = PondEvent extends infer E ? (E extends PondEvent ? Omit<E, 'day'> : never) : never

const RANGES: Readonly<Record<string, readonly [number, number]>> = {
  factor: [0, 10],
  protein: [0.05, 0.7],
  feedFromC: [0, 30],
  massKg: [-1e5, 1e5],
  gPerD: [0, 1e6],
  share: [0, 1],
  fraction: [0, 1],
  keptShare: [0, 1],
  byDKH: [0, 20],
  kg: [0, 1e6],
  days: [0, 120],
  warmerC: [-15, 15],
  rainMm: [0, 500],
  siltGPerM3: [0, 5000],
  gPerM3: [0, 5000],
  volumeM3: [0, 1e5],
}

/** @throws {DomainError} an event outside the run or a figure out of range */
export function assertEvents(events: readonly PondEvent[], days: number): void {
  events.forEach((event, i) => {
    if (!(event.day >= 0 && event.day <= days))
      throw new DomainError(`events.${i}.day`, event.day, `between 0 and ${days}`)
    for (const [key, value] of Object.entries(event)) {
      const range = RANGES[key]
      if (range && typeof value === 'number') assertInRange(`events.${i}.${key}`, value, range)
    }
  })
}

/** The weather with what heatwaves and storms do to it. */
export function weatherWithEvents(weather: readonly WeatherDay[], events: readonly PondEvent[]): readonly WeatherDay[] {
  const extremes = events.filter((e) => e.kind === 'heatwave' || e.kind === 'storm')
  if (extremes.length === 0) return weather
  return weather.map((day, i) => {
    let changed = day
    for (const event of extremes) {
      if (event.kind === 'heatwave' && i >= event.day && i < event.day + event.days) {
        changed = {
          ...changed,
          minAirC: changed.minAirC + event.warmerC,
          maxAirC: changed.maxAirC + event.warmerC,
          sunshineH: Math.min(24, changed.sunshineH * (event.warmerC > 0 ? 1.3 : 0.7)),
        }
      }
      if (event.kind === 'storm' && Math.floor(event.day) === i)
        changed = { ...changed, rainMm: changed.rainMm + event.rainMm }
    }
    return changed
  })
}
