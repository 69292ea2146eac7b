import type { VisitType } from '@/core/visits/step'
import { visitType } from '@/core/visits/visit-types'
import { wordedVisitType } from '@/core/visits/worded'
import { firmTexts } from '@/messages/texts'
import { visitWords } from '@/messages/visits/visit-words'

/** The words of visits that are kept with the firm's records. */
export const firmVisitWords = () => visitWords(firmTexts())

/** A plan of a whole season asks for the same few, time and again. */
const known = new Map<string, VisitType>()

/** A usual visit type in the firm's language; undefined for a key that is none. */
export function usualInWords(key: string): VisitType | undefined {
  const kept = known.get(key)
  if (kept) return kept
  const usual = visitType(key)
  if (!usual) return undefined
  const worded = wordedVisitType(usual, firmVisitWords())
  known.set(key, worded)
  return worded
}
