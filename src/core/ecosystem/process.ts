import type { Environment } from './environment'

/**
 * One process of the pond. `hour` works out what stays the same through an hour; `rates` adds to dy/dt, per day.
 * What one process takes from a state it gives to others, by the contents of states.ts, so that nitrogen and
 * phosphorus balance.
 */
export interface Process {
  hour(environment: Environment): void
  rates(y: Float64Array, dy: Float64Array): void
}
