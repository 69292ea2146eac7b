import type { Expectation } from '@/domain/forecasts/settling'
import type { Texts } from '../texts'

function trend({ tests, settled }: Expectation): 'newestHigher' | 'wasHigher' | 'notByItself' | null {
  const newest = tests.reduce((a, test) => (test.day > a.day ? test : a))
  if (newest.is === 'higher') return 'newestHigher'
  if (tests.some((test) => test.is === 'higher')) return 'wasHigher'
  return settled === null ? 'notByItself' : null
}

/** What the tests say of a new filter that is starting up. */
export function settlingWords(expectation: Expectation, t: Texts): string {
  const { tests } = expectation
  if (tests.length === 0) return t('forecasts.startUpTests.none')
  const expected = tests.filter((test) => test.is === 'as-expected').length
  const sum = t('forecasts.startUpTests.asExpected', { expected, count: tests.length })
  const more = trend(expectation)
  return more === null ? sum : `${sum} ${t(`forecasts.startUpTests.${more}`)}`
}
