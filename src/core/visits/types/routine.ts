import type { VisitType } from '../step'
import { ARRIVE, BACTERIA, CHANGE_WATER, FINISH, LOOK_AT_FISH, NO_FOLLOW_UP, TEST, TREAT_ALGAE } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const ROUTINE_VISIT: VisitType = {
  key: 'routine',
  name: 'Routine visit',
  version: 3,
  steps: [
    ...ARRIVE,
    TEST,
    {
      key: 'level',
      section: 'Water',
      kind: 'measure',
      title: 'Level: write down the drop, top up',
      detail:
        'Treated mains water is dechlorinated as it runs in. A drop that the weather does not explain is a leak: note it.',
      figures: ['levelDropM', 'toppedUpM3'],
    },
    {
      key: 'skimmer',
      section: 'Water',
      kind: 'do',
      title: 'Skimmer basket emptied, mat if needed',
      safety: 'Pump off and isolated before reaching into the skimmer.',
    },
    {
      key: 'flow',
      section: 'Water',
      kind: 'do',
      title: 'Flow over the falls, pump noise',
      detail: 'Look at the sheet, time a bucket. A weak sheet is the first sign of a clogged basket, pump or bed.',
    },
    {
      key: 'equipment',
      section: 'Water',
      kind: 'do',
      title: 'Lamp on and its age, ioniser, dosing unit',
      detail: 'A lamp over its age glows and does nothing. Write down what was renewed.',
      safety: 'Never look into a burning UV lamp; isolate before opening the housing.',
    },
    {
      ...CHANGE_WATER,
      readings: ['tapTemp', 'tapChlorine', 'tapPh', 'tapKh'],
      detail:
        'Only where the house rules or the tests ask for it, at most a third. Dechlorinator by portions as it comes. Record how much; 0 if none.',
    },
    {
      key: 'plants',
      section: 'Life',
      kind: 'do',
      title: 'Plants: deadhead, thin, yellow leaves out',
      figures: ['cuttingBuckets'],
      plants: ['deadhead', 'pull-back', 'thin', 'tidy', 'feed'],
      detail:
        'Clear {0.15|length} around skimmer mouths and screens; floating plants to half of the water. Count the buckets taken away.',
    },
    {
      key: 'algae',
      section: 'Life',
      kind: 'decide',
      title: 'String algae',
      detail:
        'Tolerate in the wetland, on spillway sides and stream gravel; take away from falls faces, where it blocks flow, and where the stone is to be seen.',
      choices: [
        { code: 'none', label: 'None to speak of' },
        { code: 'left', label: 'Left where it does no harm' },
        { code: 'removed', label: 'Removed by hand' },
      ],
    },
    TREAT_ALGAE,
    {
      ...BACTERIA,
      detail:
        'Where the house rules add any: cold-water culture below {10|temperature}, the ordinary one above. New pack in the dosing unit if it is empty.',
    },
    LOOK_AT_FISH,
    {
      key: 'feed-advice',
      section: 'Life',
      kind: 'do',
      title: 'Feeding: tell what the water’s temperature allows',
      detail:
        'Nothing below {10|temperature}, low protein to {13|temperature}, by appetite above; none while ammonia or nitrite show.',
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'Feed by the temperature of the water, and top up when the level falls.',
}

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
