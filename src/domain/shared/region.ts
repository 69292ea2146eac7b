/** How people of a part of the world write days, count weeks and cut paper. */
export const REGIONS = ['en-GB', 'en-US'] as const
export type Region = (typeof REGIONS)[number]

interface RegionHabits {
  /** Day of the week, day and month: "Fri 9 Apr". */
  readonly shortDate: string
  /** The same with its year. */
  readonly datedDay: string
  readonly dayMonth: string
  /** Day and hour. */
  readonly instant: string
  /** First day of a week as it is drawn, 1 Monday to 7 Sunday. */
  readonly weekBegins: 1 | 7
  readonly paper: 'A4' | 'Letter'
}

/**
 * Habits of each region; formats in Luxon's letters. Hours are told from 0 to 24 everywhere, as on the crews' rounds.
 * @source Unicode CLDR, supplemental week data and date patterns; ISO 216 and ANSI Y14.1 for paper
 */
export const REGION_HABITS: Readonly<Record<Region, RegionHabits>> = {
  'en-GB': {
    shortDate: 'ccc d LLL',
    datedDay: 'ccc d LLL yyyy',
    dayMonth: 'd LLL',
    instant: 'd LLL yyyy, HH:mm',
    weekBegins: 1,
    paper: 'A4',
  },
  'en-US': {
    shortDate: 'ccc, LLL d',
    datedDay: 'ccc, LLL d, yyyy',
    dayMonth: 'LLL d',
    // letters of a pattern, no text
    // eslint-disable-next-line no-restricted-syntax
    instant: 'LLL d, yyyy, HH:mm',
    weekBegins: 7,
    paper: 'Letter',
  },
}

/** Where months come first and paper is Letter. */
const MONTH_FIRST = /^(en-(US|CA|PH|PR)|es-US)\b/i

/**
 * The habits that go with the languages a browser asks for, the first it names counting.
 * @param languages as in an Accept-Language header or navigator.language; '' where it says nothing
 */
export const regionOf = (languages: string): Region => (MONTH_FIRST.test(languages.trim()) ? 'en-US' : 'en-GB')
