import type { CareReason } from '@/core/plants/care-rules'
import type { PlantSpecies } from '@/core/plants/species'

export const WINTER_OF_PLANT: Readonly<Record<PlantSpecies['winter'], string>> = {
  hardy: 'winters as it stands',
  cut: 'cut back after the frost',
  lift: 'lifted and stored frost-free',
  annual: 'set anew each year',
}

export const CARE_WHY: Readonly<Record<CareReason, string>> = {
  warmth: 'by the warmth of the water since the last time',
  condition: 'by how it looks',
  interval: 'years have passed since it was last divided',
  'warm-water': 'the water is warm enough to feed',
  'frost-comes': 'before the killing frost is to be expected',
  'frost-came': 'after the killing frost, before it rots in the water',
  'frost-over': 'frost is over and the water warm',
}
