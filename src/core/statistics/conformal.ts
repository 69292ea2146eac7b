import { weightedQuantile } from './weighted-quantile'
import { normalQuantile, Z90 } from './normal'

/** A past forecast's test: how far out it fell, as a multiple of the band's half, at one or several places. */
export type Reaches = readonly number[]

/** Tests that what was believed before counts as. @source house default */
const PRIOR_TESTS = 4
/** No band is made more than so much narrower or wider than the model's own. @source house default */
const LIMITS = [0.85, 6] as const
const HELD = 0.8
const PRIOR_PLACES = 9

/**
 * By how much a band of 80 % has to be stretched so that it would have held what it says of the past: the split
 * conformal quantile of how far out tests fell, drawn toward 1 by some tests that fell as the band says.
 * @param past tests of forecasts like this one, in multiples of the unstretched half band
 * @source Vovk, Gammerman & Shafer 2005; Romano, Patterson & Candès 2019 (scores relative to the band's own width)
 */
export function conformalStretch(past: readonly Reaches[]): number {
  if (past.length === 0) return 1
  const expected = Array.from({ length: PRIOR_PLACES }, (_, i) => ({
    value: normalQuantile(0.5 + (i + 0.5) / (2 * PRIOR_PLACES)) / Z90,
    weight: PRIOR_TESTS / PRIOR_PLACES,
  }))
  const seen = past.flatMap((reaches) => reaches.map((value) => ({ value, weight: 1 / reaches.length })))
  // one test more than were made: with n tests the n-th largest of n + 1 places
  const share = Math.min(1, (HELD * (past.length + PRIOR_TESTS + 1)) / (past.length + PRIOR_TESTS))
  return Math.min(LIMITS[1], Math.max(LIMITS[0], weightedQuantile([...expected, ...seen], share)))
}
