import type { PondEvent } from '../ecosystem/events'
import type { EcoPond } from '../ecosystem/pond'
import type { DatedWeather } from '../season/weather-ahead'
import type { DatedReading } from './reading'

export interface FilterInput {
  readonly pond: EcoPond
  /** The pond's deepest water, m: clarity is read no deeper. */
  readonly deepestM: number
  /** Observed days from the filter's day on, in order without gaps. */
  readonly weather: readonly DatedWeather[]
  readonly readings: readonly DatedReading[]
  /** What was done at the pond, days counted from the filter's day. */
  readonly events: readonly PondEvent[]
}
