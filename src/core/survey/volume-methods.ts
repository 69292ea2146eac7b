import { assertInRange } from '../errors'

/** Inclusive input ranges; form schemas reuse them. */
export const VOLUME_METHOD_RANGE = {
  containerM3: [0.0005, 2],
  seconds: [0.5, 3600],
  minutes: [0.5, 20_000],
  saltKg: [0.01, 5000],
  risePercent: [0.002, 1],
  conductivityRise: [0.02, 20],
  flowM3PerH: [0.05, 500],
} as const

/** Timed fill: what a container of known size takes, and how long the pond took, m³. */
export function timedFillM3(containerM3: number, seconds: number, fillMinutes: number): number {
  assertInRange('containerM3', containerM3, VOLUME_METHOD_RANGE.containerM3)
  assertInRange('seconds', seconds, VOLUME_METHOD_RANGE.seconds)
  assertInRange('minutes', fillMinutes, VOLUME_METHOD_RANGE.minutes)
  return (containerM3 / seconds) * 60 * fillMinutes
}

/**
 * Salt dilution: 1 kg in 1 m³ raises the salinity by 1 g/L = 0.1 %, m³.
 * @param risePercent salinity after less before
 */
export function saltDilutionM3(saltKg: number, risePercent: number): number {
  assertInRange('saltKg', saltKg, VOLUME_METHOD_RANGE.saltKg)
  assertInRange('risePercent', risePercent, VOLUME_METHOD_RANGE.risePercent)
  return saltKg / (risePercent * 10)
}

/** Drain-down: pump flow times time, m³. */
export function drainDownM3(flowM3PerH: number, minutes: number): number {
  assertInRange('flowM3PerH', flowM3PerH, VOLUME_METHOD_RANGE.flowM3PerH)
  assertInRange('minutes', minutes, VOLUME_METHOD_RANGE.minutes)
  return (flowM3PerH * minutes) / 60
}
