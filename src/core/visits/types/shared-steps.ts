import { COLD_WATER } from '../step-amounts'
import { ALGAE_ANSWERS } from '../gates/algae-treatment'
import { MEDIA_WATER } from '../gates/media-clean'
import type { UsualStep } from '../step'

/** Steps that open and close most visits. */
export const ARRIVE = [
  {
    key: 'arrive-photos',
    section: 'arrive',
    kind: 'photo',
    words: 'arrivePhotos',
  },
  {
    key: 'hazards',
    section: 'arrive',
    kind: 'do',
    words: 'hazards',
    onceAtStop: true,
  },
] as const satisfies readonly UsualStep[]

export const ISOLATE = {
  key: 'isolate',
  section: 'arrive',
  kind: 'do',
  words: 'isolate',
} as const satisfies UsualStep

export const TEST = {
  key: 'test',
  section: 'arrive',
  kind: 'measure',
  words: 'test',
  readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'nitrate', 'kh', 'gh', 'dissolvedOxygen', 'clarityDepth'],
  required: ['waterTemp'],
} as const satisfies UsualStep

export const TEST_TAP = {
  key: 'test-tap',
  section: 'arrive',
  kind: 'measure',
  words: 'testTap',
  readings: ['tapTemp', 'tapChlorine', 'tapChloramine', 'tapPh', 'tapKh'],
  required: ['tapTemp', 'tapChlorine'],
} as const satisfies UsualStep

export const CHANGE_WATER = {
  key: 'change-water',
  section: 'water',
  kind: 'dose',
  words: 'changeWater',
  quantity: 'partial-change',
  figures: ['changedM3'],
  products: ['dechlorinator'],
  gate: 'water-change',
} as const satisfies UsualStep

export const RINSE_MEDIA = {
  key: 'media',
  section: 'filter',
  kind: 'decide',
  words: 'rinseMedia',
  figures: ['mediaShare', 'padThicknessM'],
  choices: [...MEDIA_WATER],
  gate: 'media-clean',
} as const satisfies UsualStep

export const TREAT_ALGAE = {
  key: 'treat-algae',
  section: 'life',
  kind: 'decide',
  products: ['algae'],
  words: 'treatAlgae',
  choices: [...ALGAE_ANSWERS],
  gate: 'algae-treatment',
} as const satisfies UsualStep

export const BACTERIA = {
  key: 'bacteria',
  section: 'life',
  kind: 'dose',
  products: ['cold-bacteria', 'bacteria'],
  words: 'bacteria',
  amounts: { cold: COLD_WATER },
} as const satisfies UsualStep

export const LOOK_AT_FISH = {
  key: 'fish',
  section: 'life',
  kind: 'count-fish',
  words: 'lookAtFish',
} as const satisfies UsualStep

export const FINISH = [
  { key: 'after-photos', section: 'finish', kind: 'photo', words: 'afterPhotos' },
  { key: 'tools', section: 'finish', kind: 'do', words: 'tools', onceAtStop: true },
  {
    key: 'sign',
    section: 'finish',
    kind: 'sign',
    words: 'sign',
    onceAtStop: true,
  },
] as const satisfies readonly UsualStep[]

export const NO_FOLLOW_UP = { followUpDays: [0, 0], followUpReadings: [] } as const
export const TEST_AFTER = {
  followUpDays: [3, 7],
  followUpReadings: ['tan', 'nitrite'],
} as const
