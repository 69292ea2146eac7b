/** What loads a pond beside the ration of its own fish. */
export interface Guests {
  /** Feed that visitors throw, g a day. */
  readonly publicFeedGPerD: number
  /** Bathers a day in the season. */
  readonly bathersPerD: number
  readonly ducks: number
  readonly turtles: number
}

export const NO_GUESTS: Guests = { publicFeedGPerD: 0, bathersPerD: 0, ducks: 0, turtles: 0 }

/** Inclusive input ranges; form schemas reuse them. */
export const GUEST_RANGE = {
  publicFeedGPerD: [0, 100_000],
  bathersPerD: [0, 10_000],
  animals: [0, 1000],
  fillPhosphateMgL: [0, 10],
} as const

interface Nutrients {
  readonly nitrogenG: number
  readonly phosphorusG: number
}

/** Nitrogen and phosphorus that each brings, g a day, a visit or a kg; a firm may have figures of its own. */
export interface GuestLoads {
  readonly bather: Nutrients
  readonly duck: Nutrients
  readonly turtle: Nutrients
  /** One kg of dry leaves. */
  readonly leafKg: Nutrients
  /** One kg of feed; its nitrogen follows from its protein. */
  readonly feedKg: Pick<Nutrients, 'phosphorusG'>
  /** A m² of open water a day: dust and rain. */
  readonly surfaceM2: Pick<Nutrients, 'phosphorusG'>
}

export const GUEST_LOADS: GuestLoads = {
  /** @source bathing-water design guides: skin, sweat and urine of one visit */
  bather: { nitrogenG: 1, phosphorusG: 0.1 },
  /** @source excretion studies of dabbling ducks, the part that falls into the water */
  duck: { nitrogenG: 1, phosphorusG: 0.25 },
  /** @source house default, by feed taken */
  turtle: { nitrogenG: 0.3, phosphorusG: 0.05 },
  /** @source 1 % nitrogen, 0.1 % phosphorus in autumn litter, half given off in a year */
  leafKg: { nitrogenG: 5, phosphorusG: 0.5 },
  /** @source 1.1 % phosphorus, fish keep a third, two thirds of the rest settle as solids */
  feedKg: { phosphorusG: 2.5 },
  /** @source deposition over lakes, 0.03 g/m² a year */
  surfaceM2: { phosphorusG: 0.03 / 365 },
}

/** People bathe from this water on; in a pond that never is so warm, in its warmest month, °C. @source house default */
export const BATHING_FROM_C = 16

/** Water topped up in place of what evaporates, m a year. @source open water in a temperate garden */
export const TOP_UP_M_PER_YEAR = 0.6
