import type { EcoPond } from './pond'

/** What runs, what is fed, and where the water stands, as events change it through a run. */
export interface Running {
  feedFactor: number
  protein: number
  feedFromC: number
  /** How much of its ration a fish takes, 0..1: it comes back slowly after a fast. */
  appetite: number
  lowProteinBelowC: number | null
  fishMassKg: number
  /** Health of the shoal, 1 in full, and what is alive of it since the first run. */
  fishCondition: number
  fishAlive: number
  pump: boolean
  uv: boolean
  aeratorGPerD: number
  iceHole: boolean
  leafKeptShare: number
  volumeM3: number
  levelMm: number
  waterC: number
  iceM: number
}

/** Where a run ended: another can go on from here. */
export interface PondState {
  readonly y: Float64Array
  readonly running: Running
}

export const startRunning = (pond: EcoPond, waterC: number): Running => ({
  feedFactor: pond.fish.feedFactor,
  protein: pond.fish.protein,
  feedFromC: pond.fish.feedFromC,
  lowProteinBelowC: pond.fish.lowProteinBelowC,
  appetite: waterC >= pond.fish.feedFromC ? 1 : 0,
  fishMassKg: pond.fish.massKg,
  fishCondition: 1,
  fishAlive: 1,
  pump: pond.filter.flowM3PerH > 0,
  uv: pond.filter.uvFlowM3PerH > 0,
  aeratorGPerD: pond.aeratorGPerD,
  iceHole: pond.iceHole,
  leafKeptShare: pond.leafKeptShare,
  volumeM3: pond.volumeM3,
  levelMm: 0,
  waterC,
  iceM: 0,
})
