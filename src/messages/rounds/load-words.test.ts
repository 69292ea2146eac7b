import { remedyAmounts } from '@/domain/diagnosis/remedy-doses'
import { amountWords, remedyAmountWords } from '../water/amount-words'
import { loadLines } from './load-words'
import { textsIn } from '../texts'
import { USUAL_PRODUCTS_IN_WORDS } from '../../../tests/fixtures/usual-in-words'

describe('amounts in words', () => {
  it.each([
    [140, 'g', '140 g'],
    [1250, 'g', '1.25 kg'],
    [2400, 'mL', '2.4 L'],
    [3.2, 'each', '4'],
  ])('%s of %s', (amount, unit, words) => expect(amountWords(amount, unit)).toBe(words))
  it('name the product that a remedy uses', () => {
    const [salt] = remedyAmounts('salt', { products: USUAL_PRODUCTS_IN_WORDS, systemM3: 20, waterC: 18, recent: [] })
    expect(remedyAmountWords(salt!)).toBe('Pond salt without additives: 20 kg')
  })
})

describe('the load of a truck', () => {
  it('names one tank with its size, each product with its amount, and what is always carried', () => {
    const load = {
      kit: ['tank', 'washer'],
      tank: { volumeM3: 0.5, minWidthM: 1.1 },
      products: [{ name: 'Cold-water bacteria, dry', amount: 140, unit: 'g' }],
      tapWaterM3: 6,
      parts: [{ site: 'Lark House', task: 'Renew the UV lamp' }],
    }
    expect(loadLines(load as never, (value, kind) => `${value} ${kind}`, textsIn('en'))).toEqual([
      'pressure washer',
      'Holding tank of at least 0.5 volume, at least 1.1 length across, with cover net and aerator',
      'Cold-water bacteria, dry: 140 g; the test on site decides',
      'Hose for 6 volume of tap water',
      'For Lark House: Renew the UV lamp',
      expect.stringMatching(/^First-aid kit/),
    ])
  })
})
