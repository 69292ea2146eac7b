import type { VisitStep } from '../step'
import { TEST } from './shared-steps'

export const FULL_TEST: VisitStep = {
  ...TEST,
  title: 'Test first, everything',
  readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'nitrate', 'kh', 'gh', 'dissolvedOxygen', 'clarityDepth'],
  required: ['waterTemp', 'ph', 'tan', 'nitrite', 'kh', 'dissolvedOxygen'],
}

export const BINDER: VisitStep = {
  key: 'binder',
  section: 'Water',
  kind: 'dose',
  products: ['binder'],
  title: 'Ammonia or nitrite binder while they show',
  detail:
    'For the whole system, daily as the label says, until two tests are clean. Fish only ever meet detoxified water.',
  safety: 'Gloves and goggles. The label governs: never more than it allows, never mix products.',
}

export const RAISE_KH: VisitStep = {
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

export const RETEST: VisitStep = {
  key: 'retest',
  section: 'Water',
  kind: 'measure',
  title: 'Test again before leaving',
  readings: ['ph', 'tan', 'nitrite', 'kh', 'dissolvedOxygen'],
  required: ['ph', 'tan'],
}

export const AFTER = {
  followUpDays: [1, 7],
  followUpTitle: 'Weekly test of the rescue',
  followUpReadings: ['tan', 'nitrite', 'kh', 'ph'],
} as const

export const NOTE =
  'A neglected pond is mended in stages: doing everything at once kills the bacteria first and the fish after. Please feed nothing until we say so.'
