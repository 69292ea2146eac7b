/** How solids fill a bed; a firm may have figures of its own. */
export interface Clogging {
  /** kg dry solids per kg feed. */
  readonly solidsPerFeed: number
  /** Share of solids that ends in the chamber, and in the gravel's pores. */
  readonly chamberShare: number
  readonly gravelShare: number
  /** Dry mass in settled sludge, kg/m³. */
  readonly sludgeDryKgPerM3: number
  readonly flushAtChamberSludgeM: number
  readonly flushAtPoreLoss: number
}

/** @source domain defaults; logged flushes recalibrate them later */
export const CLOGGING: Clogging = {
  solidsPerFeed: 0.25,
  chamberShare: 0.6,
  gravelShare: 0.25,
  sludgeDryKgPerM3: 40,
  flushAtChamberSludgeM: 0.075,
  flushAtPoreLoss: 0.1,
}

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
export function flushIntervalDays(
  { feedKgPerYear, leafKgPerYear, areaM2, poreM3, chamber }: Fouling,
  figures: Clogging,
): number {
  const { solidsPerFeed, chamberShare, gravelShare, sludgeDryKgPerM3, flushAtChamberSludgeM, flushAtPoreLoss } = figures
  const sludgeM3PerYear = (feedKgPerYear * solidsPerFeed + leafKgPerYear) / sludgeDryKgPerM3
  // without a chamber what it would have caught stays in the pores: months, not years
  if (!chamber) return ((flushAtPoreLoss * poreM3) / (sludgeM3PerYear * (chamberShare + gravelShare))) * 365
  const chamberYears = (flushAtChamberSludgeM * areaM2) / (sludgeM3PerYear * chamberShare)
  const poreYears = (flushAtPoreLoss * poreM3) / (sludgeM3PerYear * gravelShare)
  return Math.min(chamberYears, poreYears) * 365
}
