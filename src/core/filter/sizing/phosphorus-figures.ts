/** What takes phosphorus out of a pond, and what a swimming pond is held to; a firm may have figures of its own. */
export interface PhosphorusFigures {
  /** Areal rate of a planted gravel bed, and of a shallow planted channel, m a year. */
  readonly gravelMPerYear: number
  readonly channelMPerYear: number
  /** Apparent settling with algae and detritus over the pond's surface, m a year. */
  readonly settlingMPerYear: number
  /** A swimming pond is clear up to the first, mg/L, and algae bloom past the second. */
  readonly goodMgL: number
  readonly mostMgL: number
}

export const PHOSPHORUS: PhosphorusFigures = {
  /** @source Kadlec & Wallace, TP */
  gravelMPerYear: 20,
  channelMPerYear: 12,
  /** @source Vollenweider 1975, lakes */
  settlingMPerYear: 10,
  /** @source domain default */
  goodMgL: 0.01,
  mostMgL: 0.03,
}

/**
 * Tanks in series and the least a wetland leaves, mg/L; half-saturation of plant uptake, mg/L.
 * @source Kadlec & Wallace; macrophyte and algae uptake studies
 */
export const PHOSPHORUS_MODEL = { tanks: 3, backgroundMgL: 0.002, halfSaturationMgL: 0.01 } as const
