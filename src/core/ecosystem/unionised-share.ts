/**
 * Share of ammonia that is un-ionised, as `ammoniaFraction` without its checks: this runs every hour of every run.
 * @source Emerson et al. 1975
 */
export const unionisedShare = (ph: number, tempC: number): number =>
  1 / (1 + Math.exp(Math.LN10 * (0.09018 + 2729.92 / (tempC + 273.15) - ph)))
