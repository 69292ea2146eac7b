import { HEAVY } from '../step-amounts'
import type { UsualVisitType } from '../step'
import { ARRIVE, FINISH, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const FILTER_BUILD = {
  key: 'filter-build',
  version: 1,
  steps: [
    ...ARRIVE,
    {
      key: 'services',
      section: 'ground',
      kind: 'do',
      words: 'filterBuildServices',
    },
    { key: 'mark-out', section: 'ground', kind: 'do', words: 'filterBuildMarkOut' },
    {
      key: 'dig',
      section: 'ground',
      kind: 'do',
      words: 'filterBuildDig',
    },
    {
      key: 'liner',
      section: 'ground',
      kind: 'do',
      words: 'filterBuildLiner',
    },
    {
      key: 'modules-photo',
      section: 'layers',
      kind: 'photo',
      words: 'filterBuildModulesPhoto',
    },
    {
      key: 'vault',
      section: 'layers',
      kind: 'do',
      words: 'filterBuildVault',
    },
    {
      key: 'rinse-gravel',
      section: 'layers',
      kind: 'do',
      words: 'filterBuildRinseGravel',
      amounts: { heavy: HEAVY },
    },
    { key: 'layers-photo', section: 'layers', kind: 'photo', words: 'filterBuildLayersPhoto' },
    { ...TEST_TAP, section: 'fill' },
    {
      key: 'fill',
      section: 'fill',
      kind: 'dose',
      words: 'filterBuildFill',
      figures: ['fillM3'],
    },
    {
      key: 'leak-test',
      section: 'fill',
      kind: 'measure',
      words: 'filterBuildLeakTest',
      figures: ['leakM'],
    },
    { key: 'flow', section: 'fill', kind: 'do', words: 'filterBuildFlow' },
    {
      key: 'pump-stop',
      section: 'fill',
      kind: 'measure',
      words: 'filterBuildPumpStop',
      figures: ['drainBackM3'],
    },
    {
      key: 'seed',
      section: 'start',
      kind: 'do',
      words: 'filterBuildSeed',
    },
    { key: 'plant', section: 'start', kind: 'do', words: 'filterBuildPlant' },
    {
      key: 'hand-over',
      section: 'start',
      kind: 'do',
      words: 'filterBuildHandOver',
    },
    ...FINISH,
  ],
  followUpDays: [2, 3],
  followUpReadings: ['tan', 'nitrite'],
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const FILTER_BUILD_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 2,
  timing: 'by-hand',
  hands: { baseMin: 1400, perM2Min: 12 },
  spoil: { baseM3: 0.5, perM2M3: 0.02 },
  fills: true,
  covers: [],
  takesAlong: [],
  after: [],
}
