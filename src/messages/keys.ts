import type { en } from './en'

/** What a catalogue holds, whatever its language. */
export type Catalogue = typeof en

/** The address of a text: noun, place, key. */
export type TextKey = {
  [N in keyof Catalogue & string]: {
    [P in keyof Catalogue[N] & string]: `${N}.${P}.${keyof Catalogue[N][P] & string}`
  }[keyof Catalogue[N] & string]
}[keyof Catalogue & string]

/** The names of what can be missing: "That pond". */
export type MissingThing = keyof Catalogue['kit']['missing'] & string
