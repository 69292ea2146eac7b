import type { VisitType } from '../step'
import { ARRIVE, BACTERIA, CHANGE_WATER, FINISH, NO_FOLLOW_UP, TEST, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const AUTUMN_NETTING: VisitType = {
  key: 'netting',
  name: 'Autumn netting',
  version: 3,
  steps: [
    ...ARRIVE,
    { ...TEST, readings: ['waterTemp', 'ph', 'tan', 'kh', 'clarityDepth'] },
    TEST_TAP,
    { key: 'shade', section: 'Autumn', kind: 'do', title: 'Shade cloth down, dried and stored' },
    {
      key: 'cut-back',
      section: 'Autumn',
      kind: 'do',
      title: 'Cut back, thin, take away before it rots',
      figures: ['cuttingBuckets'],
      plants: ['cut-back', 'thin', 'tidy'],
    },
    {
      key: 'lift',
      section: 'Autumn',
      kind: 'do',
      title: 'Lift tender plants, label, store frost-free',
      plants: ['lift'],
    },
    { key: 'leaves', section: 'Autumn', kind: 'do', title: 'Leaves out of the pond and the skimmer' },
    { ...CHANGE_WATER, section: 'Autumn' },
    {
      ...BACTERIA,
      section: 'Autumn',
      title: 'Cold-water bacteria',
      detail: 'Where the house rules add any, and below {10|temperature}.',
    },
    {
      key: 'net',
      section: 'Net',
      kind: 'do',
      title: 'Net up as a tent: posts, ridge, pins',
      detail:
        'Pitch at least 16°, clear of the water under wet leaves, snug at the edges so that no bird gets under it.',
      safety: 'Ladders on firm ground only; no lone work over deep water.',
    },
    { key: 'heron', section: 'Net', kind: 'do', title: 'Heron guards where fish are open to sight' },
    { key: 'net-photos', section: 'Net', kind: 'photo', title: 'Photograph the net and its fixings' },
    {
      key: 'label',
      section: 'Net',
      kind: 'do',
      title: 'Label what is stored, and write down where',
      detail: 'The next crew reads this note in spring.',
    },
    {
      key: 'fish-feed',
      section: 'Net',
      kind: 'do',
      title: 'Tell: low-protein feed now, none in the cold',
      detail: 'None in water below {10|temperature}.',
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'Shake the net off when it is full; do not walk on it. Feed less as the water cools.',
}

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
