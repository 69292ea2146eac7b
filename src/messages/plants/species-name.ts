import { PLANT_SPECIES, plantSpecies, type PlantSpecies } from '@/core/plants/species'
import type { TextKey, Texts } from '@/messages/texts'

/** The common name of a plant; a key of an older day that is none stands as it is. */
export const speciesName = (key: string, t: Texts): string =>
  plantSpecies(key) ? t(`plants.speciesNames.${key}` as TextKey) : key

/** A plant with its name in the reader's language. */
export interface NamedSpecies extends PlantSpecies {
  readonly common: string
}

/** Forms ask for the list whenever they are drawn. */
const sorted = new WeakMap<Texts, readonly NamedSpecies[]>()

/** Plants for choosing, by common name. */
export function speciesByName(t: Texts): readonly NamedSpecies[] {
  const kept = sorted.get(t)
  if (kept) return kept
  const named = PLANT_SPECIES.map((species) => ({ ...species, common: speciesName(species.key, t) })).sort((a, b) =>
    a.common.localeCompare(b.common),
  )
  sorted.set(t, named)
  return named
}
