import type { StateName } from './states'

/** Where water that runs into a pond comes from. */
export const RUNOFF_FROM = ['roof', 'lawn', 'manure', 'road', 'soil'] as const
export type RunoffFrom = (typeof RUNOFF_FROM)[number]

type Brought = Readonly<Partial<Record<StateName, number>>>

/**
 * What runs in with it, mg/L: roof water is soft; a lawn that was just fed; a yard or a grazed slope; a salted road in
 * a thaw; bare soil.
 * @source event mean concentrations of runoff studies, rounded; single storms differ tenfold
 */
export const RUNOFF: Readonly<Record<RunoffFrom, Brought>> = {
  roof: { tan: 0.3, nitrate: 0.4, phosphate: 0.02, alkalinity: 5, oxygen: 9 },
  lawn: { tan: 6, nitrate: 12, phosphate: 3, seston: 20, alkalinity: 25, oxygen: 8 },
  manure: { tan: 50, nitrate: 2, phosphate: 12, seston: 400, alkalinity: 250, oxygen: 2 },
  road: { tan: 0.5, nitrate: 1, phosphate: 0.1, silt: 80, salt: 3000, alkalinity: 40, oxygen: 9 },
  soil: { tan: 0.5, nitrate: 3, phosphate: 0.15, seston: 30, silt: 1500, alkalinity: 40, oxygen: 8 },
}
