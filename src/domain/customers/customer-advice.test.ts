import { customerAdvice, type AdviceFacts } from './customer-advice'

const facts = (over: Partial<AdviceFacts> = {}): AdviceFacts => ({
  waterC: 18,
  monthOfYear: 6,
  daysSinceCleanout: 60,
  weeklyLossMm: 25,
  hasFish: true,
  mains: true,
  rules: { feedingStartWaterC: 10, feedingNormalWaterC: 13, feedingStopWaterC: 12, highSummerWaterC: 25 },
  ...over,
})
const codes = (over: Partial<AdviceFacts> = {}) => customerAdvice(facts(over)).map((a) => a.code)

describe('what a customer should do this week', () => {
  it.each([
    ['a June pond', {}, ['feed-normal', 'top-up-mains', 'baskets-weekly']],
    ['cool spring water', { waterC: 11, monthOfYear: 4 }, ['feed-low-protein', 'top-up-mains', 'baskets-weekly']],
    ['cold spring water', { waterC: 8, monthOfYear: 4, weeklyLossMm: 5 }, ['no-feed-cold', 'baskets-weekly']],
    [
      'autumn water that is cold enough to stop',
      { waterC: 11, monthOfYear: 10, weeklyLossMm: 5 },
      ['no-feed-cold', 'baskets-daily'],
    ],
    [
      'the day after a cleanout',
      { daysSinceCleanout: 0.5, weeklyLossMm: 5 },
      ['no-feed-after-cleanout', 'baskets-weekly'],
    ],
    ['a heatwave', { waterC: 31 }, ['watch-oxygen', 'feed-less-hot', 'top-up-mains', 'baskets-weekly']],
    ['ice', { waterC: 1, monthOfYear: 1, weeklyLossMm: 1 }, ['keep-hole-open', 'no-feed-cold']],
    ['a pond without fish on well water', { hasFish: false, mains: false }, ['top-up-other', 'baskets-weekly']],
    ['a pond of which nothing is known', { waterC: null, weeklyLossMm: null }, ['baskets-weekly']],
  ])('%s', (_, over, expected) => expect(codes(over)).toEqual(expected))
})
