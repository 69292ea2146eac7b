import { PRODUCTION, type Production } from '../pricing/production'
import { DEFAULT_SEASON_RULES } from '../season/house-rules'
import { DEFAULT_TABLES, type HydraulicTables } from '../hydraulics/fittings'
import { CLOGGING, type Clogging } from './bed/clogging'
import { BED_MATERIALS, type BedMaterials } from './bed/layers'
import { GUEST_LOADS, type GuestLoads } from './load/guests'
import { NITRIFICATION, type Nitrification } from './sizing/nitrification'
import { PHOSPHORUS, type PhosphorusFigures } from './sizing/phosphorus-figures'

/** What the pond is for; decides shares and turnover. */
export const POND_USES = ['wildlife', 'few-small-fish', 'many-fish', 'koi', 'swimming'] as const
export type PondUse = (typeof POND_USES)[number]

export const SIZING_METHODS = ['volume', 'surface', 'nitrogen', 'closedLoop'] as const
export type SizingMethod = (typeof SIZING_METHODS)[number]

/** Rules of thumb that a firm may change. Every default names where it comes from. */
export interface FilterRules {
  /** Gross bed volume as a share of pond volume. @source trade rule, mid-range per use */
  readonly volumeShare: Readonly<Record<PondUse, number>>
  readonly emptyBedVolumesPerH: number
  /** Bed area as a share of pond surface. @source trade rule, mid-range per use */
  readonly surfaceShare: Readonly<Record<PondUse, number>>
  /** The surface share applies in full up to `fullToM2` and falls log-linearly to `minFactor` at `minFromM2`. */
  readonly surfaceCurve: { readonly fullToM2: number; readonly minFromM2: number; readonly minFactor: number }
  readonly hydraulicLoadingMPerH: number
  readonly targetTanMgL: number
  /** Whole pond through the pump once in this many hours. */
  readonly turnoverH: Readonly<Record<PondUse, number>>
  /** How many years of growth a filter is sized for. */
  readonly growthYears: number
  readonly feedProtein: number
  /** "Next size up always", or to calculation and growth. */
  readonly oversizing: 'calculated' | 'next-size'
  /** Plants counted on as a filter in season, or a bonus only. */
  readonly plantsCounted: boolean
  /** UV clarifier: always fitted, a crutch while the filter matures, or not with a bog. */
  readonly uv: 'always' | 'crutch' | 'never'
  /** A bed that is drained for the winter rests below this water, °C. */
  readonly shutdownWaterC: number
  /** Pipes and fittings that designs are picked from. */
  readonly tables: HydraulicTables
  readonly nitrification: Nitrification
  readonly clogging: Clogging
  readonly materials: BedMaterials
  readonly guestLoads: GuestLoads
  readonly phosphorus: PhosphorusFigures
  readonly production: Production
}

export const DEFAULT_FILTER_RULES: FilterRules = {
  volumeShare: { wildlife: 0.05, 'few-small-fish': 0.1, 'many-fish': 0.175, koi: 0.2, swimming: 0.275 },
  emptyBedVolumesPerH: 6,
  surfaceShare: { wildlife: 0.1, 'few-small-fish': 0.125, 'many-fish': 0.2, koi: 0.25, swimming: 0.4 },
  surfaceCurve: { fullToM2: 40, minFromM2: 400, minFactor: 0.6 },
  hydraulicLoadingMPerH: 2.5,
  targetTanMgL: 0.2,
  turnoverH: { wildlife: 4, 'few-small-fish': 4, 'many-fish': 4, koi: 2, swimming: 4 },
  growthYears: 4,
  feedProtein: 0.35,
  oversizing: 'calculated',
  plantsCounted: false,
  uv: 'crutch',
  shutdownWaterC: DEFAULT_SEASON_RULES.shutdownWaterC,
  tables: DEFAULT_TABLES,
  nitrification: NITRIFICATION,
  clogging: CLOGGING,
  materials: BED_MATERIALS,
  guestLoads: GUEST_LOADS,
  phosphorus: PHOSPHORUS,
  production: PRODUCTION,
}
