/** A shore is about so much longer than that of a round pond. @source usual garden outlines */
const SHORE_OVER_CIRCLE = 1.15

/** Length of a shore that nobody measured, by the surface it encloses, m. */
export const usualShoreM = (areaM2: number): number => SHORE_OVER_CIRCLE * 2 * Math.sqrt(Math.PI * areaM2)
