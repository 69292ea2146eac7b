import type { Cause } from '../cause'
import { CHEMISTRY } from './chemistry'
import { CLOUDY_WATER } from './cloudy-water'
import { FISH } from './fish'
import { FLOW } from './flow'
import { GREEN_WATER } from './green-water'
import { LEVEL } from './level'
import { OTHER_ALGAE } from './other-algae'
import { PLANTS } from './plants'
import { SURFACE } from './surface'

/**
 * Causes of what goes wrong at ponds, with what each shows, what helps and how long it takes.
 * @source trade experience as reviewed for this product; timelines are the house defaults
 */
export const CAUSES = {
  ...GREEN_WATER,
  ...OTHER_ALGAE,
  ...CLOUDY_WATER,
  ...SURFACE,
  ...PLANTS,
  ...FISH,
  ...CHEMISTRY,
  ...LEVEL,
  ...FLOW,
} as const satisfies Record<string, Cause>

export type CauseKey = keyof typeof CAUSES
export const CAUSE_KEYS = Object.keys(CAUSES) as CauseKey[]
export const causeOf = (key: CauseKey): Cause => CAUSES[key]

type UrgentCause = { [K in CauseKey]: (typeof CAUSES)[K] extends { urgent: true } ? K : never }[CauseKey]
/** Whether something must be said first, since something can die or hurt. */
export const isUrgent = (key: CauseKey): key is UrgentCause => causeOf(key).urgent === true
