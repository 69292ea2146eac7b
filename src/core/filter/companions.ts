/** Equipment beside the bed. Figures are usual ones of generic equipment, each editable per design. */
export const COMPANION_KINDS = [
  'skimmer-wall',
  'skimmer-floating',
  'skimmer-pump-fed',
  'falls-box',
  'pressurised',
  'drum',
  'moving-bed',
  'trickle-tower',
  'uv',
  'ioniser',
  'dosing-unit',
] as const
export type CompanionKind = (typeof COMPANION_KINDS)[number]

export interface CompanionFacts {
  /** Usable surface per litre of media, m²/L. @source makers' rated areas, rounded down to what fouled media keep */
  readonly mediaM2PerL: number
  /** Head lost at its rated flow, m. */
  readonly headM: number
  /** In the line that feeds the bed (its loss adds to the pump's head), or on its own. */
  readonly inline: boolean
  /** Share of suspended and leaf solids it keeps from the bed. */
  readonly solidsShare: number
  /** Wash water a cycle, m³ (drum, pressurised); cycles a day. */
  readonly washM3: number
  readonly washesPerDay: number
  /** Electric power at a rated flow of 10 m³/h, W. */
  readonly powerWPer10M3PerH: number
  /** A bare sentence key for care is the kind itself; months between services. */
  readonly serviceMonths: number
  /** Can be fitted to an existing, rigid or concrete pond. */
  readonly retrofit: boolean
}

const facts = (given: Partial<CompanionFacts>): CompanionFacts => ({
  mediaM2PerL: 0,
  headM: 0,
  inline: false,
  solidsShare: 0,
  washM3: 0,
  washesPerDay: 0,
  powerWPer10M3PerH: 0,
  serviceMonths: 12,
  retrofit: true,
  ...given,
})

/** @source domain defaults: rated areas of generic pads, beads, carriers; wash volumes of small drum filters */
export const COMPANION_FACTS: Readonly<Record<CompanionKind, CompanionFacts>> = {
  'skimmer-wall': facts({ headM: 0.05, inline: true, solidsShare: 0.5, serviceMonths: 1, retrofit: false }),
  'skimmer-floating': facts({ headM: 0.1, inline: true, solidsShare: 0.4, serviceMonths: 1 }),
  'skimmer-pump-fed': facts({ solidsShare: 0.3, serviceMonths: 1, powerWPer10M3PerH: 60 }),
  'falls-box': facts({ mediaM2PerL: 0.12, headM: 0.15, inline: true, solidsShare: 0.15, serviceMonths: 6 }),
  pressurised: facts({
    mediaM2PerL: 0.35,
    headM: 1.2,
    inline: true,
    solidsShare: 0.3,
    washM3: 0.2,
    washesPerDay: 0.15,
    serviceMonths: 3,
  }),
  drum: facts({
    headM: 0.15,
    inline: true,
    solidsShare: 0.6,
    washM3: 0.012,
    washesPerDay: 18,
    powerWPer10M3PerH: 25,
    serviceMonths: 3,
  }),
  'moving-bed': facts({ mediaM2PerL: 0.4, headM: 0.1, inline: true, powerWPer10M3PerH: 40, serviceMonths: 12 }),
  'trickle-tower': facts({ mediaM2PerL: 0.2, headM: 1.5, serviceMonths: 6 }),
  uv: facts({ headM: 0.1, inline: true, powerWPer10M3PerH: 75, serviceMonths: 12 }),
  ioniser: facts({ headM: 0.05, inline: true, powerWPer10M3PerH: 15, serviceMonths: 2 }),
  'dosing-unit': facts({ powerWPer10M3PerH: 2, serviceMonths: 1 }),
}

export interface Companion {
  readonly kind: CompanionKind
  /** Media it holds, L. */
  readonly mediaL: number
  /** Flow it is rated for, m³/h. */
  readonly ratedFlowM3PerH: number
  /** Skimmers: width of the mouth, m; 0 for the others. */
  readonly weirM: number
}

export const COMPANION_RANGE = { mediaL: [0, 5000], ratedFlowM3PerH: [0.1, 1000], weirM: [0, 5] } as const

export const isSkimmer = (kind: CompanionKind): boolean => kind.startsWith('skimmer')

/**
 * Flow that draws a surface toward a skimmer, and that it can still swallow, m³/h per m of mouth.
 * @source house default
 */
export const SKIMMER_M3_PER_H_PER_M = { least: 20, most: 60 } as const

/** Surface of media in all companions, m². */
export const mediaSurfaceM2 = (companions: readonly Companion[]): number =>
  companions.reduce((sum, c) => sum + c.mediaL * COMPANION_FACTS[c.kind].mediaM2PerL, 0)

/**
 * Head lost in the companions that sit in the bed's feed line, m, at a flow; skimmers stand side by side and share
 * it.
 */
export function inlineHeadM(companions: readonly Companion[], flowM3PerH: number): number {
  const inline = companions.filter((c) => COMPANION_FACTS[c.kind].inline)
  const inSeries = inline
    .filter((c) => !isSkimmer(c.kind))
    .reduce((sum, c) => sum + COMPANION_FACTS[c.kind].headM * (flowM3PerH / c.ratedFlowM3PerH) ** 2, 0)
  // parallel branches lose the same head: h = (Q / Σ q√(1/h₀))², each skimmer losing h₀ at its rated q
  const share = inline
    .filter((c) => isSkimmer(c.kind))
    .reduce((sum, c) => sum + c.ratedFlowM3PerH / Math.sqrt(COMPANION_FACTS[c.kind].headM), 0)
  return inSeries + (share > 0 ? (flowM3PerH / share) ** 2 : 0)
}

const passing = (companions: readonly Companion[]): number =>
  companions.reduce((left, c) => left * (1 - COMPANION_FACTS[c.kind].solidsShare), 1)

/** Share of what fish leave that still reaches the bed: skimmers keep what floats, not faeces. */
export const solidsLeft = (companions: readonly Companion[]): number =>
  passing(companions.filter((c) => !isSkimmer(c.kind)))

/**
 * Share of leaf litter that still reaches the bed: skimmers side by side each clean their part of the surface, so
 * they keep as much as one.
 */
export function litterLeft(companions: readonly Companion[]): number {
  const skimmers = companions.filter((c) => isSkimmer(c.kind))
  const flow = skimmers.reduce((sum, c) => sum + c.ratedFlowM3PerH, 0)
  const kept =
    flow > 0
      ? skimmers.reduce((sum, c) => sum + COMPANION_FACTS[c.kind].solidsShare * (c.ratedFlowM3PerH / flow), 0)
      : 0
  return solidsLeft(companions) * (1 - kept)
}

/** Water washed away by backwash and drum cycles, m³ a day: it must be topped up, and treated. */
export const washWaterM3PerD = (companions: readonly Companion[]): number =>
  companions.reduce((sum, c) => sum + COMPANION_FACTS[c.kind].washM3 * COMPANION_FACTS[c.kind].washesPerDay, 0)

/** Running power of the companions, W. */
export const companionPowerW = (companions: readonly Companion[]): number =>
  companions.reduce((sum, c) => sum + (COMPANION_FACTS[c.kind].powerWPer10M3PerH * c.ratedFlowM3PerH) / 10, 0)

/** Flow that the skimmers want, m³/h. */
export const skimmerDrawM3PerH = (companions: readonly Companion[]): number =>
  companions.reduce((sum, c) => sum + c.weirM * SKIMMER_M3_PER_H_PER_M.least, 0)
