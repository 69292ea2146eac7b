export const GRAVITY_M_PER_S2 = 9.80665

/** Range over which the property fits below hold, °C. */
export const WATER_TEMPERATURE_RANGE = [0, 45] as const

/**
 * Kinematic viscosity of fresh water, m²/s.
 * @param tempC 0..45 °C
 * @source Vogel equation, µ = 2.414e-5 · 10^(247.8/(T−140)) Pa·s (Al-Shemmeri 2012), over the density below
 */
export function kinematicViscosityM2PerS(tempC: number): number {
  const dynamicPaS = 2.414e-5 * 10 ** (247.8 / (tempC + 273.15 - 140))
  return dynamicPaS / waterDensityKgPerM3(tempC)
}

/**
 * Density of fresh water, kg/m³.
 * @source Kell-type fit, 1000(1 − (T+288.9414)(T−3.9863)²/(508929.2(T+68.12963))) (McCutcheon 1993)
 */
export function waterDensityKgPerM3(tempC: number): number {
  return 1000 * (1 - ((tempC + 288.9414) * (tempC - 3.9863) ** 2) / (508929.2 * (tempC + 68.12963)))
}
