import type { BranchKind } from '@/core/filter/flow/flow-plan'
import type { Feed, Stand } from '@/core/filter/design-input'
import type { FilterType } from '@/core/filter/filter-types'
import type { DemandSource } from '@/core/filter/flow/flow-demand'
import type { SensitivityInput } from '@/core/filter/sizing/sensitivity'
import type { FallsLook } from '@/core/hydraulics/falls'
import type { PlantingProblem } from '@/core/plants/planting'
import type { PlantRole } from '@/core/plants/species'

export const FILTER_TYPE_NAMES: Readonly<Record<FilterType, string>> = {
  'container-bog': 'Container bog',
  'lined-wetland': 'Lined upflow wetland',
  'raised-trough': 'Raised trough wetland',
  'horizontal-bed': 'Horizontal gravel bed',
  'perimeter-bog': 'Perimeter bog',
  'surface-wetland': 'Surface wetland or planted stream',
  none: 'No filter',
}

export const FILTER_TYPE_WHEN: Readonly<Record<FilterType, string>> = {
  'container-bog': 'Barrels, tubs or tanks with graded stone, inlet at the bottom, bottom drain. For ponds up to about 10 m³.',
  'lined-wetland': 'A dug, lined bed over a sediment chamber with a cleanout vault. For most client ponds.',
  'raised-trough': 'Framed walls where nothing can be dug: courts, indoors, slabs. The pipe is pitched to the vault.',
  'horizontal-bed': 'Water runs along a shallow planter. Its depth must match the roots; headers are slotted over their full height.',
  'perimeter-bog': 'A planted shelf around the edge, fed by a perforated loop under the gravel, returning over the stone ring.',
  'surface-wetland': 'A shallow planted channel for polishing and wildlife.',
  none: 'Tub, patio or wildlife pond: plants and surfaces carry a small stock, or none.',
}

export const FEED_NAMES: Readonly<Record<Feed, string>> = {
  'slotted-pipe': 'Slotted pipe under the bed',
  chamber: 'Sediment chamber (void modules)',
  'bottom-header': 'Headers on the floor only',
  'full-height-header': 'Headers slotted over the full height',
}

export const STAND_NAMES: Readonly<Record<Stand, string>> = { ground: 'Open ground', 'near-building': 'Beside a building', 'slab-or-roof': 'A slab or roof' }

export const DEMAND_NAMES: Readonly<Record<DemandSource, string>> = {
  school: 'by the school',
  oxygen: 'for oxygen',
  turnover: 'for turnover',
  falls: 'for the falls',
  skimmer: 'for the skimmers',
}

export const LOOK_NAMES: Readonly<Record<FallsLook, string>> = {
  dry: 'no sheet',
  trickle: 'a broken trickle',
  curtain: 'an even curtain',
  full: 'a full sheet',
  torrent: 'a torrent',
}

export const SENSITIVITY_NAMES: Readonly<Record<SensitivityInput, string>> = {
  'fish-count': 'Number of fish',
  'growth-years': 'Years of growth',
  volume: 'Pond volume',
  surface: 'Pond surface',
  protein: 'Protein of the feed',
  'stone-size': 'Stone size',
  target: 'Ammonia target',
  'water-temperature': 'Water temperature',
}

export const BRANCH_NAMES: Readonly<Record<BranchKind, string>> = {
  bed: 'Bed',
  bypass: 'Bypass',
  stream: 'Stream',
  'trickle-tower': 'Trickle tower',
  heater: 'Heater',
}

export const INTAKE_NAMES = { 'bottom-drain': 'Bottom drain', 'mid-water': 'Mid-water intake', skimmer: 'Skimmer' } as const

export const ROLE_OF_PLANT: Readonly<Record<PlantRole, string>> = {
  heavy: 'Heavy feeder',
  marginal: 'Marginal',
  cover: 'Ground cover',
  edge: 'Moist edge',
  floating: 'Floating',
  oxygenator: 'Oxygenator',
  lily: 'Lily or lotus',
}

export const PLANTING_WORDS: Readonly<Record<PlantingProblem, string>> = {
  'too-deep': 'the water over the gravel is too deep for it',
  'too-dry': 'it stands too dry here',
  'not-hardy': 'it will not stand the winter here',
  'clogs-feed': 'its roots close gravel and slots: keep it off the distribution pipe',
  'aggressive-near-lip': 'it spreads: keep it away from lip, spillway and screen',
  regulated: 'regulated somewhere: check your state or national list',
  'lily-no-filter': 'for shade and look; it catches sludge and does not filter',
  'tall-in-front': 'tall plants belong behind low ones',
  'outside-bed': 'it stands outside the bed',
}
