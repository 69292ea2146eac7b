/** How solids fill a bed. @source domain defaults; logged flushes recalibrate them later */
export const CLOGGING = {
  /** kg dry solids per kg feed. */
  solidsPerFeed: 0.25,
  /** Share of solids that ends in the chamber, and in the gravel's pores. */
  chamberShare: 0.6,
  gravelShare: 0.25,
  /** Dry mass in settled sludge, kg/m³. */
  sludgeDryKgPerM3: 40,
  flushAtChamberSludgeM: 0.075,
  flushAtPoreLoss: 0.1,
} as const

export interface Fouling {
  readonly feedKgPerYear: number
  readonly leafKgPerYear: number
  readonly areaM2: number
  /** Water held in the treating gravel's pores when clean, m³. */
  readonly poreM3: number
  /** Whether solids have a sediment chamber to settle in. */
  readonly chamber: boolean
}

/**
 * Days until a flush is due: chamber sludge at its limit or pore loss at its limit, whichever comes first; Infinity
 * without solids.
 */
export function flushIntervalDays({ feedKgPerYear, leafKgPerYear, areaM2, poreM3, chamber }: Fouling): number {
  const sludgeM3PerYear = (feedKgPerYear * CLOGGING.solidsPerFeed + leafKgPerYear) / CLOGGING.sludgeDryKgPerM3
  // without a chamber what it would have caught stays in the pores: months, not years
  if (!chamber)
    return (
      ((CLOGGING.flushAtPoreLoss * poreM3) / (sludgeM3PerYear * (CLOGGING.chamberShare + CLOGGING.gravelShare))) * 365
    )
  const chamberYears = (CLOGGING.flushAtChamberSludgeM * areaM2) / (sludgeM3PerYear * CLOGGING.chamberShare)
  const poreYears = (CLOGGING.flushAtPoreLoss * poreM3) / (sludgeM3PerYear * CLOGGING.gravelShare)
  return Math.min(chamberYears, poreYears) * 365
}
