import { createTranslator } from 'use-intl/core'
import type { ReactNode } from 'react'
import { datedDay, dayMonth, instant, longDate, shortDate } from '@/domain/shared/dates'
import type { Region } from '@/domain/shared/region'
import { en } from './en'
import type { TextKey } from './keys'
import { marked } from './pseudo'

export type { Catalogue, TextKey } from './keys'

type Values = Readonly<Record<string, string | number>>
type Parts = Readonly<Record<string, string | number | ((chunks: ReactNode) => ReactNode)>>

/**
 * Texts of one language: `t(key, values)`, and `t.rich` where part of a sentence is a link or set in bold; and days as
 * its reader writes them.
 */
export interface Texts extends Dates {
  readonly locale: Locale
  (key: TextKey | TextId, values?: Values): string
  rich(key: TextKey | TextId, parts: Parts): ReactNode
}

/** Calendar days and instants in the words of a region. */
interface Dates {
  readonly region: Region
  shortDate(day: string): string
  datedDay(day: string): string
  longDate(day: string): string
  dayMonth(day: string): string
  instant(iso: string, timeZone: string): string
}

const datesIn = (region: Region): Dates => ({
  region,
  shortDate: (day) => shortDate(day, region),
  datedDay: (day) => datedDay(day, region),
  longDate: (day) => longDate(day, region),
  dayMonth: (day) => dayMonth(day, region),
  instant: (iso, timeZone) => instant(iso, timeZone, region),
})

declare const isText: unique symbol
/**
 * The address of a text as a value. It is no string to the types, so that no view can show the address for the words.
 */
export interface TextId {
  readonly [isText]: true
}
/** Names a text in a constant, to be said by `t` where it is shown. */
export const textId = (key: TextKey): TextId => key as unknown as TextId

/** Languages; the second is made up of the first and marks every text, so that one outside the catalogue is seen. */
export const LOCALES = ['en', 'en-XA'] as const
export type Locale = (typeof LOCALES)[number]

/** Where a browser keeps the language that its reader chose. */
export const LOCALE_COOKIE = 'slow_reed_locale'

/** Which language a person asked for; what is none of them is the first. */
export const localeOf = (asked: string | undefined): Locale => LOCALES.find((locale) => locale === asked) ?? LOCALES[0]

/** The texts of papers, letters and records, which are the firm's and not one reader's. */
export const firmTexts = (): Texts => textsIn('en')

const made = new Map<string, Texts>()

/**
 * The texts of a language, with days as a region writes them. That none is missing is seen to by the types and tests of
 * the catalogue; outside production a missing one throws.
 */
export function textsIn(locale: Locale, region: Region = 'en-GB'): Texts {
  const name = `${locale} ${region}`
  const known = made.get(name)
  if (known) return known
  const translator = createTranslator({
    locale,
    messages: (locale === 'en-XA' ? marked(en) : en) as Record<string, unknown>,
    // a record of an older day may hold a code that has no text any more: a page shows the code rather than nothing
    onError: (error) => {
      if (process.env.NODE_ENV !== 'production') throw error
    },
    getMessageFallback: ({ key }) => key.split('.').at(-1)!,
  })
  const texts = Object.assign(translator, datesIn(region), { locale }) as unknown as Texts
  made.set(name, texts)
  return texts
}
