import type { Knex } from 'knex'
import { plantingSite } from '@/core/filter/bed/planting-site'
import type { FilterDesign } from '@/core/filter/design-input'
import { plantGaps, replant, type Cuttings, type PlantGap, type Replanting } from '@/core/plants/replant'
import { toFill } from '@/domain/plants/plants'
import type { Design } from '@/domain/design/design'
import { listStock } from '@/server/stores/stock-repository'
import type { PondPlants } from './plants-of'

/** The bed as it was built, or as the newest version has it. */
export const bedOf = (designs: readonly Design[]): FilterDesign | null =>
  designs[0]?.builtBed ?? designs[0]?.bed ?? null

/** Rooted pieces in the stores, by kind, from whatever shelves. */
export async function keptCuttings(trx: Knex.Transaction): Promise<Cuttings[]> {
  const kept = new Map<string, number>()
  for (const { speciesKey, onHand } of await listStock(trx))
    if (speciesKey) kept.set(speciesKey, (kept.get(speciesKey) ?? 0) + onHand)
  return [...kept].map(([species, onHand]) => ({ species, onHand }))
}

export interface PondGaps {
  readonly gaps: readonly PlantGap[]
  readonly replanting: readonly Replanting[]
}

/** Where plants are missing at a pond, and which cuttings may close the gaps. */
export function pondGaps(
  { pond, patches, year }: Pick<PondPlants, 'pond' | 'patches' | 'year'>,
  bed: FilterDesign | null,
  cuttings: readonly Cuttings[],
): PondGaps {
  const site = bed && plantingSite(bed, { areaM2: pond.areaM2, monthlyTempC: year.weeklyWaterC })
  const [inBed, inPond] = [toFill(patches, 'bed'), toFill(patches, 'pond')]
  const gaps = { bed: inBed.length === 0 ? [] : plantGaps(inBed, site), pond: plantGaps(inPond, null) }
  return {
    gaps: [...gaps.bed, ...gaps.pond],
    replanting: [...replant(gaps.bed, inBed, cuttings, site), ...replant(gaps.pond, inPond, cuttings, null)],
  }
}
