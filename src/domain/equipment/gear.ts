import type { PondId } from '../shared/ids'

/** What is put on a pond and taken off again with the seasons. */
export const GEAR_KINDS = ['net', 'de-icer', 'aerator', 'shade-cloth', 'heron-guard', 'pump', 'media', 'other'] as const
export type GearKind = (typeof GEAR_KINDS)[number]
export const GEAR_KIND_NAMES: Readonly<Record<GearKind, string>> = {
  net: 'Net, posts and pins',
  'de-icer': 'De-icer',
  aerator: 'Winter aerator',
  'shade-cloth': 'Shade cloth',
  'heron-guard': 'Heron guard',
  pump: 'Pump',
  media: 'Filter media',
  other: 'Something else',
}

export const GEAR_STATES = ['on-pond', 'stored'] as const
export type GearState = (typeof GEAR_STATES)[number]
export const GEAR_STATE_NAMES: Readonly<Record<GearState, string>> = { 'on-pond': 'on the pond', stored: 'stored' }

export interface Gear {
  readonly id: string
  readonly pondId: PondId
  readonly kind: GearKind
  readonly name: string
  readonly state: GearState
  /** Where it is stored, or where on the pond it stands. */
  readonly place: string
  readonly since: string
}
