import { daysBetween, type IsoDate } from '../numeric/calendar'
import { seededRandom, type Random } from '../numeric/random'
import type { PondState } from '../ecosystem/running'
import type { Biases } from './bias'
import type { Traits } from './traits'

/** One of the ponds that this pond could be, and where it stands. */
export interface Member {
  readonly traits: Traits
  /** Its water as a share of the adopted volume. */
  readonly volumeShare: number
  readonly state: PondState
  /** How far this pond stands off the model for weeks, by kind on its scale. */
  readonly bias: Biases
}

const SEED = 51_001
const BEGAN = '2001-01-01'

/** A source of its own for each member and day, so that a filter is the same however often it is worked out. */
export const chanceOf = (member: number, day: IsoDate): Random =>
  seededRandom(SEED + 4099 * member + 17 * daysBetween(BEGAN, day))
