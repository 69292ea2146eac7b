import { assertInRange } from '../errors'

export const OXYGEN_RANGE = { tempC: [0, 40], altitudeM: [-400, 5000] } as const

/**
 * Oxygen that fresh water in contact with air holds, mg/L.
 * @param altitudeM height above sea, m; pressure from the standard atmosphere
 * @throws {DomainError} temperature or altitude out of OXYGEN_RANGE
 * @source Benson & Krause 1984 (APHA 4500-O), pressure correction with water-vapour pressure and θ
 */
export function oxygenSaturationMgL(tempC: number, altitudeM = 0): number {
  assertInRange('tempC', tempC, OXYGEN_RANGE.tempC)
  assertInRange('altitudeM', altitudeM, OXYGEN_RANGE.altitudeM)
  const T = tempC + 273.15
  const atSeaLevel = Math.exp(-139.34411 + (1.575701e5 + (-6.642308e7 + (1.2438e10 - 8.621949e11 / T) / T) / T) / T)
  const pressureAtm = (1 - 2.25577e-5 * altitudeM) ** 5.25588
  const vapourAtm = Math.exp(11.8571 - 3840.7 / T - 216961 / (T * T))
  const theta = 0.000975 - 1.426e-5 * tempC + 6.436e-8 * tempC * tempC
  return (
    (atSeaLevel * pressureAtm * (1 - vapourAtm / pressureAtm) * (1 - theta * pressureAtm)) /
    ((1 - vapourAtm) * (1 - theta))
  )
}
