import type { UsualVisitType } from '../step'
import {
  ARRIVE,
  BACTERIA,
  CHANGE_WATER,
  FINISH,
  ISOLATE,
  LOOK_AT_FISH,
  RINSE_MEDIA,
  TEST,
  TEST_AFTER,
  TEST_TAP,
} from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const SPRING_STARTUP = {
  key: 'spring-startup',
  version: 3,
  steps: [
    ...ARRIVE,
    ISOLATE,
    TEST,
    TEST_TAP,
    {
      key: 'winter-gear',
      section: 'start',
      kind: 'do',
      words: 'springStartupWinterGear',
    },
    { key: 'skimmer', section: 'start', kind: 'do', words: 'springCleanoutSkimmer' },
    { ...RINSE_MEDIA, section: 'start' },
    {
      key: 'prime',
      section: 'start',
      kind: 'do',
      words: 'springStartupPrime',
    },
    {
      key: 'lamp',
      section: 'start',
      kind: 'decide',
      words: 'springStartupLamp',
      choices: ['renewed', 'not-due', 'no-lamp'],
    },
    { ...CHANGE_WATER, section: 'start' },
    {
      key: 'leaks',
      section: 'start',
      kind: 'do',
      words: 'springStartupLeaks',
    },
    { ...BACTERIA, section: 'start' },
    {
      key: 'plants',
      section: 'start',
      kind: 'do',
      words: 'springStartupPlants',
      plants: ['divide', 'cut-back', 'plant-out'],
      figures: ['cuttingBuckets'],
    },
    { key: 'lights', section: 'start', kind: 'do', words: 'springStartupLights' },
    { ...LOOK_AT_FISH, section: 'start' },
    ...FINISH,
  ],
  ...TEST_AFTER,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const SPRING_STARTUP_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 3,
  timing: 'window',
  hands: { baseMin: 130, perM2Min: 1 },
  spoil: { baseM3: 0.1, perM2M3: 0.004 },
  fills: false,
  covers: [],
  takesAlong: [],
  after: [],
}
