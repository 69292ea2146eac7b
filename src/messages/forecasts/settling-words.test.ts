import type { Expectation } from '@/domain/forecasts/settling'
import { firmTexts } from '../texts'
import { settlingWords } from './settling-words'

type Test = Expectation['tests'][number]
const test = (day: string, is: Test['is']): Test => ({ kind: 'tan', day, value: 1, from: 0, to: 2, is })
const words = (tests: Test[], settled: Expectation['settled'] = { soonest: 20, middle: 25, latest: 30 }) =>
  settlingWords({ weeks: [], tests, settled }, firmTexts())

describe('tests of a new filter in words', () => {
  it('say when there is none yet', () => expect(words([])).toMatch(/^No test/))
  it('are counted when all is well', () =>
    expect(words([test('2027-05-02', 'as-expected')])).toBe('1 of 1 test is as expected.'))
  it('ask for less feed when the newest is higher', () =>
    expect(words([test('2027-06-20', 'higher'), test('2027-05-02', 'as-expected')])).toContain('Feed less'))
  it('say when a high one has come down again', () =>
    expect(words([test('2027-05-02', 'higher'), test('2027-06-20', 'as-expected')])).toContain('back to what was'))
  it('say when the filter is not expected to do it alone', () =>
    expect(words([test('2027-05-02', 'as-expected')], null)).toContain('without help'))
})
