import { plantSpecies } from '../../core/plants/species'
import { csvOf } from '../shared/csv'
import type { PondId } from '../shared/ids'

/** A group of plants that does not winter outside. */
export interface SeasonalPlant {
  readonly patchId: string
  readonly pondId: PondId
  readonly site: string
  readonly pond: string
  readonly species: string
  readonly count: number
  readonly stored: boolean
  /** Where it is stored; '' when it grows, or nobody wrote it down. */
  readonly place: string
  /** From when and by when it is lifted, or set out again. */
  readonly from: string
  readonly by: string
  /** Whether that is still to be done this year. */
  readonly thisYear: boolean
}

/**
 * The list that goes along in autumn and comes out again in spring.
 * @param nameOf the common name of a species
 * @param nextWords what comes next for plants in store, and for those outside
 */
export const plantsCsv = (
  plants: readonly SeasonalPlant[],
  nameOf: (species: string) => string,
  nextWords: Record<'stored' | 'outside', string>,
): string =>
  csvOf(
    plants.map((p) => ({
      site: p.site,
      pond: p.pond,
      plant: nameOf(p.species),
      botanical: plantSpecies(p.species)!.botanical,
      plants: p.count,
      state: p.stored ? 'stored' : 'outside',
      place: p.place,
      next: nextWords[p.stored ? 'stored' : 'outside'],
      from: p.from,
      by: p.by,
    })),
    ['site', 'pond', 'plant', 'botanical', 'plants', 'state', 'place', 'next', 'from', 'by'],
  )
