import { scaleLinear } from 'd3-scale'

/**
 * The one water-temperature scale: ice slate, cold blue-green, mild green, warm straw, hot clay. Stops are even in
 * lightness steps as far as the hues allow.
 */
const STOPS: readonly (readonly [tempC: number, colour: string])[] = [
  [0, 'rgb(86, 103, 128)'],
  [5, 'rgb(70, 132, 146)'],
  [10, 'rgb(84, 158, 138)'],
  [15, 'rgb(142, 184, 118)'],
  [20, 'rgb(212, 198, 112)'],
  [25, 'rgb(222, 158, 84)'],
  [30, 'rgb(184, 88, 52)'],
]
const ICE = 'rgb(174, 186, 201)'
const warmth = scaleLinear<string>()
  .domain(STOPS.map(([tempC]) => tempC))
  .range(STOPS.map(([, colour]) => colour))
  .clamp(true)

/** Colour of water at a temperature, °C; at or below 0.05 °C the ice colour. */
export const waterColour = (tempC: number): string => (tempC <= 0.05 ? ICE : warmth(tempC))

/** Temperatures named on the legend, °C. */
export const LEGEND_C = [0, 10, 20, 30] as const
