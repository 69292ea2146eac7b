import type { TextKey } from '@/messages/keys'

declare const isSaid: unique symbol
/**
 * What is to be said to a person: the address of a text in the catalogue with its values. One string, since schemas
 * carry strings; put into words where it is shown (`saidWords`), in the reader's language.
 */
export type Said = string & { readonly [isSaid]: true }

/** A value of a sentence: a word of the catalogue by its address, a sentence of its own within it, or a day. */
export type SaidValue =
  string | number | { readonly text: TextKey } | { readonly said: string } | { readonly day: string }

/** Names a text of the catalogue with the values it is filled with. */
export const said = (text: TextKey, values?: Readonly<Record<string, SaidValue>>): Said =>
  (values ? `${text} ${JSON.stringify(values)}` : text) as Said

/** Words that come from elsewhere than the catalogue: a firm's own, or those of the calculation contract. */
export const inWords = (words: string): Said => said('kit.problems.words', { words })
