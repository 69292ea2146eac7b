/**
 * The one water-temperature scale: ice slate, cold blue-green, mild green, warm straw, hot clay. Stops are even in
 * lightness steps as far as the hues allow.
 */
const STOPS: readonly (readonly [number, readonly [number, number, number]])[] = [
  [0, [86, 103, 128]],
  [5, [70, 132, 146]],
  [10, [84, 158, 138]],
  [15, [142, 184, 118]],
  [20, [212, 198, 112]],
  [25, [222, 158, 84]],
  [30, [184, 88, 52]],
]
const ICE: readonly [number, number, number] = [174, 186, 201]

/** Colour of water at a temperature, °C; at or below 0.05 °C the ice colour. */
export function waterColour(tempC: number): string {
  if (tempC <= 0.05) return `rgb(${ICE.join(',')})`
  const clamped = Math.min(30, Math.max(0, tempC))
  const above = STOPS.findIndex(([stop]) => stop >= clamped)
  const [t1, c1] = STOPS[Math.max(1, above)]!
  const [t0, c0] = STOPS[Math.max(1, above) - 1]!
  const share = (clamped - t0) / (t1 - t0)
  return `rgb(${c0.map((v, i) => Math.round(v + (c1[i]! - v) * share)).join(',')})`
}

/** Temperatures named on the legend, °C. */
export const LEGEND_C = [0, 10, 20, 30] as const
