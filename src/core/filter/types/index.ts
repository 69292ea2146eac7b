import { CONTAINER_BOG } from './container-bog'
import { HORIZONTAL_BED } from './horizontal-bed'
import { LINED_WETLAND } from './lined-wetland'
import { NO_BED } from './no-bed'
import { PERIMETER_BOG } from './perimeter-bog'
import { RAISED_TROUGH } from './raised-trough'
import { SURFACE_WETLAND } from './surface-wetland'
import type { FilterTypeFacts } from './facts'

/** Kinds of bog and wetland filters, in the order in which they are offered. */
export const FILTER_TYPE_FACTS = {
  'container-bog': CONTAINER_BOG,
  'lined-wetland': LINED_WETLAND,
  'raised-trough': RAISED_TROUGH,
  'horizontal-bed': HORIZONTAL_BED,
  'perimeter-bog': PERIMETER_BOG,
  'surface-wetland': SURFACE_WETLAND,
  none: NO_BED,
} as const satisfies Readonly<Record<string, FilterTypeFacts>>

export type FilterType = keyof typeof FILTER_TYPE_FACTS
export const FILTER_TYPES = Object.keys(FILTER_TYPE_FACTS) as readonly FilterType[]
