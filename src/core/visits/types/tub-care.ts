import { HEAVY } from '../step-amounts'
import type { UsualVisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, LOOK_AT_FISH, NO_FOLLOW_UP, TEST, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

/** Patio tubs and other ponds without a pump. */
export const TUB_CARE = {
  key: 'tub-care',
  version: 2,
  steps: [
    ...ARRIVE,
    { ...TEST, readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'kh', 'clarityDepth'] },
    TEST_TAP,
    { key: 'overflow', section: 'tub', kind: 'do', words: 'tubCareOverflow' },
    {
      ...CHANGE_WATER,
      section: 'tub',
      words: 'tubCareChangeWater',
    },
    {
      key: 'tub-plants',
      section: 'tub',
      kind: 'measure',
      words: 'tubCareTubPlants',
      figures: ['coverShare'],
      plants: ['thin', 'tidy'],
    },
    { key: 'tub-algae', section: 'tub', kind: 'do', words: 'tubCareTubAlgae' },
    {
      key: 'mosquito',
      section: 'tub',
      kind: 'decide',
      words: 'tubCareMosquito',
      choices: ['none', 'few', 'many'],
    },
    LOOK_AT_FISH,
    {
      key: 'cover',
      section: 'tub',
      kind: 'do',
      words: 'tubCareCover',
      amounts: { heavy: HEAVY },
    },
    {
      key: 'care-cards',
      section: 'tub',
      kind: 'do',
      words: 'tubCareCareCards',
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const TUB_CARE_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 1,
  timing: 'interval',
  hands: { baseMin: 35, perM2Min: 2 },
  spoil: { baseM3: 0.02, perM2M3: 0.005 },
  fills: false,
  covers: [],
  takesAlong: [],
  after: [],
}
