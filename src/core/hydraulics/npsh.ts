import { assertInRange } from '../errors'
import { GRAVITY_M_PER_S2, waterDensityKgPerM3, WATER_TEMPERATURE_RANGE } from './water-properties'

export const NPSH_RANGE = { altitudeM: [-400, 5000], liftM: [-10, 10] } as const

const SEA_LEVEL_PA = 101_325

/**
 * Pressure at which water boils, Pa.
 * @source Magnus form of Alduchov and Eskridge 1996
 */
export const vapourPressurePa = (tempC: number): number => 610.94 * Math.exp((17.625 * tempC) / (tempC + 243.04))

/** Air pressure at a height above sea, Pa. @source standard atmosphere */
export const airPressurePa = (altitudeM: number): number => SEA_LEVEL_PA * (1 - 2.25577e-5 * altitudeM) ** 5.25588

export interface SuctionSide {
  readonly altitudeM: number
  /** Warmest water that is drawn, °C. */
  readonly tempC: number
  /** Pump over the water that it draws, m; less than nothing where water stands over it. */
  readonly liftM: number
  /** Head lost on the way to it, m. */
  readonly lossM: number
}

/**
 * Net positive suction head at a pump, m: air pressure less vapour pressure as a head, less lift and losses.
 * @throws {DomainError} a figure outside NPSH_RANGE
 * @source any pump handbook; at sea level and 20 °C a pump at the water's level has about 10.1 m
 */
export function npshAvailableM({ altitudeM, tempC, liftM, lossM }: SuctionSide): number {
  assertInRange('altitudeM', altitudeM, NPSH_RANGE.altitudeM)
  assertInRange('tempC', tempC, WATER_TEMPERATURE_RANGE)
  assertInRange('liftM', liftM, NPSH_RANGE.liftM)
  const pressurePa = airPressurePa(altitudeM) - vapourPressurePa(tempC)
  return pressurePa / (waterDensityKgPerM3(tempC) * GRAVITY_M_PER_S2) - liftM - lossM
}
