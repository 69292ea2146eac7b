'use client'
import { createContext, useContext, type ReactNode } from 'react'
import { textsIn, type Locale, type Texts } from '@/messages/texts'
export { textId } from '@/messages/texts'
export type { TextId, Texts } from '@/messages/texts'

const TextsContext = createContext<Texts>(textsIn('en'))

/** The language that the views below it speak. */
export function TextsProvider({ locale, children }: { locale: Locale; children: ReactNode }) {
  return <TextsContext value={textsIn(locale)}>{children}</TextsContext>
}

/** The texts of the language that this person reads. */
export const useTexts = (): Texts => useContext(TextsContext)
