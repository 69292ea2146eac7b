import type { VisitType } from '../step'
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

export const SPRING_STARTUP: VisitType = {
  key: 'spring-startup',
  name: 'Spring startup',
  version: 3,
  steps: [
    ...ARRIVE,
    ISOLATE,
    TEST,
    TEST_TAP,
    {
      key: 'winter-gear',
      section: 'Start',
      kind: 'do',
      title: 'Net and de-icer off, debris netted out',
      detail: 'Dry, bag, label, store where agreed.',
    },
    { key: 'skimmer', section: 'Start', kind: 'do', title: 'Skimmer: basket, mat, pump vault' },
    { ...RINSE_MEDIA, section: 'Start' },
    {
      key: 'prime',
      section: 'Start',
      kind: 'do',
      title: 'Caps off pipe ends, plumbing back, pump primed',
      detail: 'Union seals looked at; the breather open.',
    },
    {
      key: 'lamp',
      section: 'Start',
      kind: 'decide',
      title: 'Is the lamp due?',
      choices: [
        { code: 'renewed', label: 'Renewed today, date logged' },
        { code: 'not-due', label: 'Not yet due' },
        { code: 'no-lamp', label: 'No lamp here' },
      ],
      safety: 'Isolate before opening the housing; a burning UV lamp harms eyes and skin.',
    },
    { ...CHANGE_WATER, section: 'Start' },
    {
      key: 'leaks',
      section: 'Start',
      kind: 'do',
      title: 'Pump on: leaks, levels of the boxes, flow over every edge',
      detail: 'Falls lip slightly forward; gaps foamed so that water runs over and not around.',
      safety: 'Power back on only when everyone is out of the water.',
    },
    { ...BACTERIA, section: 'Start' },
    {
      key: 'plants',
      section: 'Start',
      kind: 'do',
      title: 'Plants cut back, divided and fed',
      plants: ['divide', 'cut-back', 'plant-out'],
      detail: 'Before growth; tablets into baskets, never loose in the bed.',
      figures: ['cuttingBuckets'],
    },
    { key: 'lights', section: 'Start', kind: 'do', title: 'Lights cleaned, aimed, replaced; warranty noted' },
    { ...LOOK_AT_FISH, section: 'Start' },
    ...FINISH,
  ],
  ...TEST_AFTER,
  customerNote: 'Feed lightly, and only once the water is warm enough.',
}

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
