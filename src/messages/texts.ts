import { createTranslator } from 'use-intl/core'
import type { ReactNode } from 'react'
import { en } from './en'

/** What a catalogue holds, whatever its language. */
export type Catalogue = typeof en

/** The address of a text: noun, place, key. */
export type TextKey = {
  [N in keyof Catalogue & string]: { [P in keyof Catalogue[N] & string]: `${N}.${P}.${keyof Catalogue[N][P] & string}` }[keyof Catalogue[N] & string]
}[keyof Catalogue & string]

type Values = Readonly<Record<string, string | number>>
type Parts = Readonly<Record<string, string | number | ((chunks: ReactNode) => ReactNode)>>

/** Texts of one language: `t(key, values)`, and `t.rich` where part of a sentence is a link or set in bold. */
export interface Texts {
  (key: TextKey | TextId, values?: Values): string
  rich(key: TextKey | TextId, parts: Parts): ReactNode
}

declare const isText: unique symbol
export interface TextId {
  readonly [isText]: true
}
export const textId = (key: TextKey): TextId => key as never
export const LOCALES = ['en'] as const
export type Locale = (typeof LOCALES)[number]

/** The texts of papers, letters and records, which are the firm's and not one reader's. */
export const firmTexts = (): Texts => textsIn('en')

const made = new Map<Locale, Texts>()

/** The texts of a language. A text that is missing is an error: the catalogue's types and tests see to it that there is none. */
export function textsIn(locale: Locale): Texts {
  const known = made.get(locale)
  if (known) return known
  const texts = createTranslator({
    locale,
    messages: en as Record<string, unknown>,
    // a record of an older day may hold a code that has no text any more: a page shows the code rather than nothing
    onError: (error) => {
      if (process.env.NODE_ENV !== 'production') throw error
    },
    getMessageFallback: ({ key }) => key.split('.').at(-1)!,
  }) as unknown as Texts
  made.set(locale, texts)
  return texts
}
