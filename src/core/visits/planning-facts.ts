/** What planning needs to know of a kind of job beside its steps. */
export interface JobPlanning {
  readonly skills: readonly string[]
  readonly kit: readonly string[]
  /** Worth against an ordinary visit: what a season cannot do without counts more. */
  readonly value: number
  /**
   * Follows a window of the pond's year, comes round every so many days between two dates, or is planned by hand
   * alone.
   */
  readonly timing: 'window' | 'interval' | 'by-hand'
  /** Person-minutes: a base, and more for each m² of water surface. Cleanouts are worked out part by part instead. */
  readonly hands: { readonly baseMin: number; readonly perM2Min: number } | null
  /** What the truck takes away, m³: a base, and more for each m² of water surface. */
  readonly spoil: { readonly baseM3: number; readonly perM2M3: number }
  /** Fills the pond from the mains, so that it cannot be done while that is restricted. */
  readonly fills: boolean
  /** Other jobs of the season that it makes needless. */
  readonly covers: readonly string[]
  /** Other jobs that the same visit does when both fall due. */
  readonly takesAlong: readonly string[]
  /** Jobs that must come before it in the same season, with days between. */
  readonly after: readonly { readonly job: string; readonly minDays: number; readonly maxDays: number }[]
}

export const SKILLS = ['fish', 'electrics', 'pesticide'] as const
export const KIT = ['tank', 'washer', 'flush-pump', 'net-poles'] as const

/**
 * Getting ready and packing up, which a second job on the same visit does not need again, person-minutes.
 * @source house default
 */
export const SHARED_SETUP_MIN = 30
