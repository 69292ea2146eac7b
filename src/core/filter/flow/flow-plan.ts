import type { FilterDesign } from '../design-input'

/** Where a branch ends; each loses head in its own way. */
export const BRANCH_KINDS = ['bed', 'bypass', 'stream', 'trickle-tower', 'heater'] as const
export type BranchKind = (typeof BRANCH_KINDS)[number]

export interface FlowBranch {
  readonly kind: BranchKind
  readonly boreM: number
  readonly lengthM: number
  /** Bends and fittings of this branch. */
  readonly k: number
  /** How far its valve is open, 0.05 to 1; 0 closed. */
  readonly valve: number
  /** Level it lets go at, over the pond, m. */
  readonly levelM: number
}

export interface FlowIntake {
  readonly kind: 'bottom-drain' | 'mid-water' | 'skimmer'
  readonly boreM: number
  readonly lengthM: number
  readonly k: number
  readonly summer: boolean
  readonly winter: boolean
}

/** How the water is split when one pipe to one bed is not all there is. */
export interface FlowPlan {
  readonly intakes: readonly FlowIntake[]
  readonly branches: readonly FlowBranch[]
  /** Pumps beside the design's own, at full speed. */
  readonly morePumps: readonly string[]
}

export const FLOW_PLAN_RANGE = { k: [0, 200], valve: [0, 1], levelM: [0, 20], lengthM: [0.1, 500] } as const

/** The design's own bed, and nothing else yet: what network mode begins with. */
export function firstFlowPlan(design: FilterDesign): FlowPlan {
  return {
    intakes: [
      { kind: 'bottom-drain', boreM: design.delivery.diameterM, lengthM: 6, k: 2, summer: true, winter: false },
      { kind: 'mid-water', boreM: design.delivery.diameterM, lengthM: 4, k: 2, summer: false, winter: true },
    ],
    branches: [
      { kind: 'bed', boreM: design.delivery.diameterM, lengthM: 2, k: 1, valve: 1, levelM: design.staticLiftM },
      { kind: 'bypass', boreM: design.delivery.diameterM, lengthM: 2, k: 1, valve: 0.3, levelM: design.staticLiftM },
    ],
    morePumps: [],
  }
}
