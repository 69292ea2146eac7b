import { COLD_WATER } from '../step-amounts'
import type { UsualVisitType } from '../step'
import { ARRIVE, BACTERIA, CHANGE_WATER, FINISH, NO_FOLLOW_UP, TEST, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const AUTUMN_NETTING = {
  key: 'netting',
  version: 3,
  steps: [
    ...ARRIVE,
    { ...TEST, readings: ['waterTemp', 'ph', 'tan', 'kh', 'clarityDepth'] },
    TEST_TAP,
    { key: 'shade', section: 'autumn', kind: 'do', words: 'nettingShade' },
    {
      key: 'cut-back',
      section: 'autumn',
      kind: 'do',
      words: 'nettingCutBack',
      figures: ['cuttingBuckets'],
      plants: ['cut-back', 'thin', 'tidy'],
    },
    {
      key: 'lift',
      section: 'autumn',
      kind: 'do',
      words: 'nettingLift',
      plants: ['lift'],
    },
    { key: 'leaves', section: 'autumn', kind: 'do', words: 'nettingLeaves' },
    { ...CHANGE_WATER, section: 'autumn' },
    {
      ...BACTERIA,
      section: 'autumn',
      words: 'nettingBacteria',
      amounts: { cold: COLD_WATER },
    },
    {
      key: 'net',
      section: 'net',
      kind: 'do',
      words: 'nettingNet',
    },
    { key: 'heron', section: 'net', kind: 'do', words: 'nettingHeron' },
    { key: 'net-photos', section: 'net', kind: 'photo', words: 'nettingNetPhotos' },
    {
      key: 'label',
      section: 'net',
      kind: 'do',
      words: 'nettingLabel',
    },
    {
      key: 'fish-feed',
      section: 'net',
      kind: 'do',
      words: 'nettingFishFeed',
      amounts: { cold: COLD_WATER },
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const AUTUMN_NETTING_PLANNING: JobPlanning = {
  skills: [],
  kit: ['net-poles'],
  value: 2,
  timing: 'window',
  hands: { baseMin: 60, perM2Min: 2.2 },
  spoil: { baseM3: 0.05, perM2M3: 0.002 },
  fills: false,
  covers: [],
  takesAlong: ['routine', 'plant-care'],
  after: [],
}
