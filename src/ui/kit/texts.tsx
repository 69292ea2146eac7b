'use client'
import { createContext, useContext, type ReactNode } from 'react'
import type { Region } from '@/domain/shared/region'
import { textsIn, type Locale, type Texts } from '@/messages/texts'
export { textId } from '@/messages/texts'
export type { TextId, Texts } from '@/messages/texts'

const TextsContext = createContext<Texts>(textsIn('en'))

/** The language that the views below it speak, and the habits of its readers' region. */
export function TextsProvider(props: {
  readonly locale: Locale
  readonly region: Region
  readonly children: ReactNode
}) {
  return <TextsContext value={textsIn(props.locale, props.region)}>{props.children}</TextsContext>
}

/** The language above it with the habits of another region: on a device that is known only once it is read. */
export function RegionProvider({ region, children }: { readonly region: Region; readonly children: ReactNode }) {
  const { locale } = useTexts()
  return <TextsContext value={textsIn(locale, region)}>{children}</TextsContext>
}

/** The texts of the language that this person reads. */
export const useTexts = (): Texts => useContext(TextsContext)
