import type { HouseRules } from '../house-rules/house-rules'

/** What is known of a pond when its keeper is given a hand for the week. */
export interface AdviceFacts {
  /** Water expected or measured today, °C; null while nothing is known. */
  readonly waterC: number | null
  readonly monthOfYear: number
  /** Days since the last whole cleanout; null where there was none. */
  readonly daysSinceCleanout: number | null
  /** What evaporates in a week, mm; null while no weather is known. */
  readonly weeklyLossMm: number | null
  readonly hasFish: boolean
  readonly mains: boolean
  readonly rules: Pick<
    HouseRules,
    'feedingStartWaterC' | 'feedingNormalWaterC' | 'feedingStopWaterC' | 'highSummerWaterC'
  >
}

type AdviceTopic = 'feeding' | 'topping-up' | 'baskets' | 'ice' | 'heat'
export interface Advice {
  readonly topic: AdviceTopic
  readonly code:
    | 'no-feed-after-cleanout'
    | 'no-feed-cold'
    | 'feed-low-protein'
    | 'feed-normal'
    | 'feed-less-hot'
    | 'top-up-mains'
    | 'top-up-other'
    | 'baskets-weekly'
    | 'baskets-daily'
    | 'keep-hole-open'
    | 'watch-oxygen'
  readonly mm?: number
}

const FREEZING_C = 2
const TOO_HOT_TO_FEED_C = 30
const LEAF_MONTHS: readonly number[] = [10, 11]
const WINTER_MONTHS: readonly number[] = [12, 1, 2]
/** Below this nobody needs to fetch a hose. */
const MIN_TOP_UP_MM = 10

/** What the keeper of a pond should do this week, in the order it matters. */
export function customerAdvice({
  waterC,
  monthOfYear,
  daysSinceCleanout,
  weeklyLossMm,
  hasFish,
  mains,
  rules,
}: AdviceFacts): Advice[] {
  const found: Advice[] = []
  const autumn = monthOfYear >= 8
  if (waterC !== null && waterC <= FREEZING_C) found.push({ topic: 'ice', code: 'keep-hole-open' })
  if (waterC !== null && waterC >= rules.highSummerWaterC) found.push({ topic: 'heat', code: 'watch-oxygen' })
  if (hasFish && waterC !== null) {
    const stop = autumn ? rules.feedingStopWaterC : rules.feedingStartWaterC
    if (daysSinceCleanout !== null && daysSinceCleanout < 1)
      found.push({ topic: 'feeding', code: 'no-feed-after-cleanout' })
    else if (waterC < stop) found.push({ topic: 'feeding', code: 'no-feed-cold' })
    else if (waterC > TOO_HOT_TO_FEED_C) found.push({ topic: 'feeding', code: 'feed-less-hot' })
    else found.push({ topic: 'feeding', code: waterC < rules.feedingNormalWaterC ? 'feed-low-protein' : 'feed-normal' })
  }
  if (weeklyLossMm !== null && weeklyLossMm >= MIN_TOP_UP_MM)
    found.push({ topic: 'topping-up', code: mains ? 'top-up-mains' : 'top-up-other', mm: weeklyLossMm })
  if (!WINTER_MONTHS.includes(monthOfYear))
    found.push({ topic: 'baskets', code: LEAF_MONTHS.includes(monthOfYear) ? 'baskets-daily' : 'baskets-weekly' })
  return found
}

/** When the customer asks for a visit. */
export const REQUEST_LIMIT = { open: 5 } as const
