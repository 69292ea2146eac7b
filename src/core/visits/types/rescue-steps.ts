import type { UsualStep } from '../step'
import { TEST } from './shared-steps'

export const FULL_TEST = {
  ...TEST,
  words: 'fullTest',
  readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'nitrate', 'kh', 'gh', 'dissolvedOxygen', 'clarityDepth'],
  required: ['waterTemp', 'ph', 'tan', 'nitrite', 'kh', 'dissolvedOxygen'],
} as const satisfies UsualStep

export const BINDER = {
  key: 'binder',
  section: 'water',
  kind: 'dose',
  products: ['binder'],
  words: 'binder',
} as const satisfies UsualStep

export const RAISE_KH = {
  key: 'raise-kh',
  section: 'water',
  kind: 'dose',
  words: 'raiseKh',
  quantity: 'kh-rise',
  products: ['kh'],
  figures: ['khRiseDH'],
  gate: 'raise-kh',
} as const satisfies UsualStep

export const RETEST = {
  key: 'retest',
  section: 'water',
  kind: 'measure',
  words: 'retest',
  readings: ['ph', 'tan', 'nitrite', 'kh', 'dissolvedOxygen'],
  required: ['ph', 'tan'],
} as const satisfies UsualStep

export const AFTER = {
  followUpDays: [1, 7],
  followUpReadings: ['tan', 'nitrite', 'kh', 'ph'],
} as const
