/** What comes into a pond from beside its fish and its surroundings, day by day. */
export interface EcoGuests {
  /** Feed that visitors throw, g/d; fish that can take no more leave it. */
  readonly feedGPerD: number
  /** Animals in the water, all year. */
  readonly nitrogenGPerD: number
  readonly phosphorusGPerD: number
  /** Bathers, in water that people bathe in. */
  readonly bathingNitrogenGPerD: number
  readonly bathingPhosphorusGPerD: number
  readonly bathingFromC: number
}

export const NO_ECO_GUESTS: EcoGuests = {
  feedGPerD: 0,
  nitrogenGPerD: 0,
  phosphorusGPerD: 0,
  bathingNitrogenGPerD: 0,
  bathingPhosphorusGPerD: 0,
  bathingFromC: 16,
}
