/** Person-hours a unit of work takes, and what a digger moves; a firm may have figures of its own. */
export interface Production {
  readonly setUpH: number
  readonly digHPerM3: number
  readonly diggerM3PerH: number
  readonly sheetHPerM2: number
  readonly moduleH: number
  readonly stoneHPerT: number
  readonly pipeHPerM: number
  readonly fittingH: number
  readonly wallHPerM2: number
  readonly vaultH: number
  readonly pumpH: number
  readonly unitH: number
  readonly plantH: number
  readonly spillwayHPerM: number
}

/** @source house defaults; logged times will correct them */
export const PRODUCTION: Production = {
  setUpH: 6,
  digHPerM3: 0.45,
  diggerM3PerH: 4,
  sheetHPerM2: 0.06,
  moduleH: 0.12,
  stoneHPerT: 0.7,
  pipeHPerM: 0.18,
  fittingH: 0.12,
  wallHPerM2: 2.2,
  vaultH: 2,
  pumpH: 3,
  unitH: 3,
  plantH: 0.05,
  spillwayHPerM: 5,
}
