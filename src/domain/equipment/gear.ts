import type { PondId } from '../shared/ids'

/** What is put on a pond and taken off again with the seasons. */
export const GEAR_KINDS = ['net', 'de-icer', 'aerator', 'shade-cloth', 'heron-guard', 'pump', 'media', 'other'] as const
export type GearKind = (typeof GEAR_KINDS)[number]

export const GEAR_STATES = ['on-pond', 'stored'] as const
export type GearState = (typeof GEAR_STATES)[number]

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
