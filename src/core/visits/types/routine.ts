import { CLEAR_OF_MOUTHS, COLD_WATER, FEEDING_WATER } from '../step-amounts'
import type { UsualVisitType } from '../step'
import { ARRIVE, BACTERIA, CHANGE_WATER, FINISH, LOOK_AT_FISH, NO_FOLLOW_UP, TEST, TREAT_ALGAE } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const ROUTINE_VISIT = {
  key: 'routine',
  version: 3,
  steps: [
    ...ARRIVE,
    TEST,
    {
      key: 'level',
      section: 'water',
      kind: 'measure',
      words: 'routineLevel',
      figures: ['levelDropM', 'toppedUpM3'],
    },
    {
      key: 'skimmer',
      section: 'water',
      kind: 'do',
      words: 'routineSkimmer',
    },
    {
      key: 'flow',
      section: 'water',
      kind: 'do',
      words: 'routineFlow',
    },
    {
      key: 'equipment',
      section: 'water',
      kind: 'do',
      words: 'routineEquipment',
    },
    {
      ...CHANGE_WATER,
      readings: ['tapTemp', 'tapChlorine', 'tapPh', 'tapKh'],
      words: 'routineChangeWater',
    },
    {
      key: 'plants',
      section: 'life',
      kind: 'do',
      words: 'routinePlants',
      amounts: { clear: CLEAR_OF_MOUTHS },
      figures: ['cuttingBuckets'],
      plants: ['deadhead', 'pull-back', 'thin', 'tidy', 'feed'],
    },
    {
      key: 'algae',
      section: 'life',
      kind: 'decide',
      words: 'routineAlgae',
      choices: ['none', 'left', 'removed'],
    },
    TREAT_ALGAE,
    {
      ...BACTERIA,
      words: 'routineBacteria',
      amounts: { cold: COLD_WATER },
    },
    LOOK_AT_FISH,
    {
      key: 'feed-advice',
      section: 'life',
      kind: 'do',
      words: 'routineFeedAdvice',
      amounts: { cold: COLD_WATER, normal: FEEDING_WATER },
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const ROUTINE_VISIT_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 1,
  timing: 'interval',
  hands: { baseMin: 60, perM2Min: 0.8 },
  spoil: { baseM3: 0.05, perM2M3: 0.001 },
  fills: false,
  covers: [],
  takesAlong: ['plant-care'],
  after: [],
}
