import type { FishGroup } from '../fish/load'
import type { Guests } from './load/guests'
import type { FittingCounts } from '../hydraulics/fittings'
import type { PumpSet } from '../hydraulics/pump-set'
import type { TrainUnit } from './train/train-unit'
import type { FlowPlan } from './flow/flow-plan'
import type { Suction } from './flow/suction'
import type { FilterType } from './types'
import type { BedLayer } from './bed/layers'
import type { PondLining } from '../survey/lining'
import type { PlantPatch } from '../plants/planting'
import type { SiteLayout } from '../site-plan/site-layout'
import type { PondGround } from '../site-plan/pond-ground'
import type { BedShape } from './bed/bed-shape'
import type { FilterRules, PondUse, SizingMethod } from './house-rules'
import type { SharedWork } from './shared-work'
import type { CataloguePump } from './flow/pump-catalogue'

/** What a design needs to know of the pond it serves. */
export interface DesignPond {
  readonly volumeM3: number
  /** Standard deviation of that volume, as a share of it. */
  readonly volumeSigmaShare: number
  readonly areaM2: number
  readonly use: PondUse
  readonly fish: readonly FishGroup[]
  /** What else loads it: visitors' feed, bathers, animals. */
  readonly guests: Guests
  /** Phosphate of the water that tops it up, mg/L as P. */
  readonly fillPhosphateMgL: number
  /** What holds its water. */
  readonly lining: PondLining
  /** Length of its shore, m. */
  readonly shoreM: number
  readonly altitudeM: number
  /** Expected water temperature by month, January first, °C. */
  readonly monthlyTempC: readonly number[]
  /** Leaf litter that reaches the filter, kg dry a year. */
  readonly leafKgPerYear: number
  /** How far the pond may rise before it spills, m. */
  readonly freeboardM: number
  /** Its shape and what lies around it; null where only figures are known. */
  readonly ground: PondGround | null
}

/** How water enters a bed: upflow beds through a slotted pipe or a chamber, horizontal ones through a header. */
export const FEEDS = ['slotted-pipe', 'chamber', 'bottom-header', 'full-height-header'] as const
export type Feed = (typeof FEEDS)[number]

/** What carries the bed: ground, near a building, or a slab or roof. */
export const STANDS = ['ground', 'near-building', 'slab-or-roof'] as const
type Stand = (typeof STANDS)[number]

/** What someone has looked at on site; a check that hangs on it passes only then. */
export const CONFIRMATIONS = ['electrics', 'auto-fill', 'children', 'services', 'engineer'] as const
type Confirmation = (typeof CONFIRMATIONS)[number]

/** Everything a designer decides about a filter, its pipes and its pumps. Lengths in m. */
export interface FilterDesign {
  readonly type: FilterType
  readonly sizingMethod: SizingMethod
  /**
   * Size of the bed, or of one vessel; a round vessel has its diameter as length. The perimeter bog: along the shore
   * × band width.
   */
  readonly lengthM: number
  readonly widthM: number
  readonly vessels: number
  readonly round: boolean
  /** Outline of a dug and lined bed within its length and width. */
  readonly shape: BedShape
  readonly layers: readonly BedLayer[]
  /** Water level over the gravel's top; negative: the gravel stands dry by so much. */
  readonly waterOverGravelM: number
  /** How far the walls stand above the ground. */
  readonly raisedM: number
  readonly stand: Stand
  readonly feed: Feed
  readonly manifold: {
    readonly diameterM: number
    /** Pipes side by side across the bed, each with its own slots. */
    readonly laterals: number
    /** Slots of one pipe. */
    readonly slots: number
    readonly slotAreaM2: number
    readonly pitchPercent: number
  }
  readonly vault: {
    readonly diameterM: number
    readonly atLowPoint: boolean
    readonly valveInReach: boolean
    readonly dischargeM: number
  } | null
  readonly delivery: {
    readonly flexible: boolean
    readonly lengthM: number
    readonly diameterM: number
    readonly fittings: FittingCounts
    readonly otherK: number
  }
  /** Line by which a dry-mounted pump draws; null for submersible pumps. */
  readonly suction: Suction | null
  /** From the pond's water level to the bed's water level. */
  readonly staticLiftM: number
  /** null: nothing is pumped, which only a pond without a bed can do. */
  readonly pumpId: string | null
  readonly pumpSet: PumpSet
  /** Share of the pump's flow that goes past the bed. */
  readonly bypassShare: number
  readonly outlet: {
    readonly count: number
    readonly diameterM: number
    readonly lengthM: number
    readonly dropM: number
  }
  /** Lip the water falls over on its way back; null without falls. */
  readonly falls: { readonly widthM: number; readonly dropM: number } | null
  /**
   * Air-break hole or breather in the feed, above the bed's base: how far it can siphon back; null without one, when
   * it runs back to the pond's level.
   */
  readonly airBreakM: number | null
  readonly checkValve: boolean
  /** Equipment in the order in which the water meets it. */
  readonly train: readonly TrainUnit[]
  /** Pipes by which water runs to the train by gravity; null where the pump or its skimmer stands in the pond. */
  readonly intakePipe: { readonly count: number; readonly diameterM: number; readonly lengthM: number } | null
  /** How the water is split, when one pipe to one bed is not all there is. */
  readonly network: FlowPlan | null
  readonly planting: readonly PlantPatch[]
  readonly winter: 'runs' | 'drained'
  /** Pond water changed by hand in the season, share a week. */
  readonly weeklyExchange: number
  /** Least water temperature that a heater holds, °C; null unheated. */
  readonly heatToC: number | null
  /** North on the plan, degrees clockwise from up the page. */
  readonly northDeg: number
  /** Where its parts stand on the site; null while it is not laid out. */
  readonly layout: SiteLayout | null
  readonly confirmed: readonly Confirmation[]
}

/** Inclusive input ranges; form schemas reuse them. */
export const DESIGN_RANGE = {
  sideM: [0.2, 100],
  vessels: [1, 20],
  waterOverGravelM: [-0.2, 0.6],
  raisedM: [0, 3],
  manifoldDiameterM: [0.015, 0.4],
  laterals: [1, 40],
  slots: [1, 2000],
  slotAreaM2: [1e-6, 0.01],
  pitchPercent: [0, 10],
  vaultDiameterM: [0.1, 2],
  dischargeM: [0, 200],
  deliveryLengthM: [0.1, 500],
  boreM: [0.012, 0.4],
  suctionLengthM: [0.1, 50],
  suctionLiftM: [-5, 8],
  otherK: [0, 100],
  fittings: [0, 50],
  staticLiftM: [0, 20],
  bypassShare: [0, 0.9],
  outlets: [1, 6],
  intakePipes: [1, 8],
  outletLengthM: [0.05, 100],
  dropM: [0.005, 5],
  fallsWidthM: [0.05, 20],
  airBreakM: [0, 5],
  weeklyExchange: [0, 1],
  northDeg: [0, 360],
} as const

export interface DesignProblemInput {
  readonly pond: DesignPond
  readonly design: FilterDesign
  readonly rules: FilterRules
  /** The firm's own sizing method; the design's may differ with a reason. */
  readonly houseMethod: SizingMethod
  /** Pumps to choose from: the catalogue and the firm's own. */
  readonly pumps: readonly CataloguePump[]
  /** Given where many designs of one pond are worked through by one set of rules: what they share is found once. */
  readonly shared?: SharedWork
}
