import { SLUDGE_SIGNS } from '../gates/deep-sludge'
import type { VisitStep, VisitType } from '../step'
import {
  ARRIVE,
  BACTERIA,
  CHANGE_WATER,
  FINISH,
  ISOLATE,
  LOOK_AT_FISH,
  RINSE_MEDIA,
  TEST,
  TEST_TAP,
} from './shared-steps'

const FULL_TEST: VisitStep = {
  ...TEST,
  title: 'Test first, everything',
  readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'nitrate', 'kh', 'gh', 'dissolvedOxygen', 'clarityDepth'],
  required: ['waterTemp', 'ph', 'tan', 'nitrite', 'kh', 'dissolvedOxygen'],
}
const BINDER: VisitStep = {
  key: 'binder',
  section: 'Water',
  kind: 'dose',
  products: ['binder'],
  title: 'Ammonia or nitrite binder while they show',
  detail:
    'For the whole system, daily as the label says, until two tests are clean. Fish only ever meet detoxified water.',
  safety: 'Gloves and goggles. The label governs: never more than it allows, never mix products.',
}
const RAISE_KH: VisitStep = {
  key: 'raise-kh',
  section: 'Water',
  kind: 'dose',
  title: 'Raise KH in steps',
  detail:
    'One or two degrees a day, dissolved beforehand, poured where the water moves. Write down the rise; 0 for none. Test again before leaving.',
  quantity: 'kh-rise',
  products: ['kh'],
  figures: ['khRiseDH'],
  gate: 'raise-kh',
  safety: 'Ammonia turns toxic as pH rises: this stop is there for a reason.',
}
const RETEST: VisitStep = {
  key: 'retest',
  section: 'Water',
  kind: 'measure',
  title: 'Test again before leaving',
  readings: ['ph', 'tan', 'nitrite', 'kh', 'dissolvedOxygen'],
  required: ['ph', 'tan'],
}
const AFTER = {
  followUpDays: [1, 7],
  followUpTitle: 'Weekly test of the rescue',
  followUpReadings: ['tan', 'nitrite', 'kh', 'ph'],
} as const
const NOTE =
  'A neglected pond is mended in stages: doing everything at once kills the bacteria first and the fish after. Please feed nothing until we say so.'

/** First visit: nothing but loose dirt and a part of the water. */
const RESCUE_OPEN_FLOOR: VisitType = {
  key: 'rescue-floor',
  name: 'Rescue: open floor and first change',
  version: 1,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    {
      key: 'air',
      section: 'Water',
      kind: 'do',
      title: 'Aerator in and running',
      safety: 'RCD/GFCI outlet and drip loop.',
    },
    {
      key: 'siphon',
      section: 'Water',
      kind: 'decide',
      title: 'Siphon the open floor only',
      detail: 'No stones lifted, no media touched. Stop where it stays black.',
      choices: [...SLUDGE_SIGNS],
      gate: 'deep-sludge',
      safety: 'Hydrogen sulfide from disturbed sludge: a smell of bad eggs means stop, ventilate, leave.',
    },
    CHANGE_WATER,
    BINDER,
    RAISE_KH,
    RETEST,
    LOOK_AT_FISH,
    ...FINISH,
  ],
  ...AFTER,
  customerNote: NOTE,
}

/** Second: strainers and mechanical media, none of the living ones. */
const RESCUE_STRAINERS: VisitType = {
  key: 'rescue-strainers',
  name: 'Rescue: strainers and mechanical media',
  version: 1,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    ISOLATE,
    {
      key: 'strainers',
      section: 'Filter',
      kind: 'do',
      title: 'Baskets, screens, mats and mechanical pads clean',
      detail: 'The biological media stay as they are.',
    },
    { key: 'pump-clean', section: 'Filter', kind: 'do', title: 'Pump and intake clean, flow looked at' },
    CHANGE_WATER,
    BINDER,
    RAISE_KH,
    RETEST,
    LOOK_AT_FISH,
    ...FINISH,
  ],
  ...AFTER,
  customerNote: NOTE,
}

/** Third and fourth: half the biological media each, a week or more apart. */
const RESCUE_HALF_MEDIA: VisitType = {
  key: 'rescue-media',
  name: 'Rescue: half of the biological media',
  version: 1,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    ISOLATE,
    RINSE_MEDIA,
    CHANGE_WATER,
    BINDER,
    { ...BACTERIA, section: 'Water' },
    RETEST,
    LOOK_AT_FISH,
    ...FINISH,
  ],
  ...AFTER,
  customerNote: NOTE,
}

/** Last: stones and what lies under them, one section at a time. */
const RESCUE_ROCKS: VisitType = {
  key: 'rescue-rocks',
  name: 'Rescue: one section of the rock piles',
  version: 1,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    { key: 'air', section: 'Rocks', kind: 'do', title: 'Aerator running before a stone is moved' },
    {
      key: 'section',
      section: 'Rocks',
      kind: 'decide',
      title: 'One section: lift, siphon, reset',
      detail: 'A few square metres, no more. The next section is another visit.',
      choices: [...SLUDGE_SIGNS],
      gate: 'deep-sludge',
      safety: 'Two people or a machine for stones above {25|mass}. A smell of bad eggs: stop, ventilate, leave.',
    },
    CHANGE_WATER,
    BINDER,
    RETEST,
    LOOK_AT_FISH,
    ...FINISH,
  ],
  ...AFTER,
  customerNote: NOTE,
}

export const RESCUE_STAGES: readonly VisitType[] = [
  RESCUE_OPEN_FLOOR,
  RESCUE_STRAINERS,
  RESCUE_HALF_MEDIA,
  RESCUE_ROCKS,
]
