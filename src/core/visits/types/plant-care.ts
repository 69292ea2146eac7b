import type { VisitType } from '../step'
import { ARRIVE, FINISH, NO_FOLLOW_UP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const PLANT_CARE: VisitType = {
  key: 'plant-care',
  name: 'Plant care',
  version: 3,
  steps: [
    ...ARRIVE,
    {
      key: 'spreaders',
      section: 'Plants',
      kind: 'do',
      title: 'Spreaders cut back from inlets, screens and edges',
      detail:
        'Ground covers off screens and spillways, {0.15|length} clear at skimmer mouths, nothing aggressive beside pipes.',
      plants: ['pull-back'],
    },
    {
      key: 'deadhead',
      section: 'Plants',
      kind: 'do',
      title: 'Deadhead before seed falls; dead leaves out of the water',
      detail:
        'Tall sedges and similar seeders every week in the growing season: at the base, before flowers drop seed. Leave the big-leaved heavy feeders standing.',
      plants: ['deadhead', 'tidy'],
      safety: 'Waders only in known depth; a second person at the edge.',
    },
    {
      key: 'floating',
      section: 'Plants',
      kind: 'measure',
      title: 'Thin floating plants to half of the water',
      figures: ['coverShare'],
      plants: ['thin'],
      detail: 'Write down the cover as found.',
    },
    {
      key: 'divide',
      section: 'Plants',
      kind: 'do',
      title: 'Divide crowded crowns, replant bare patches',
      plants: ['divide'],
      detail: 'In spring, before growth. Rooted pieces fill gaps; the rest is composted or bagged away from waterways.',
      safety: 'Never release plants outside. Lists of regulated plants are checked before any are taken along.',
    },
    {
      key: 'season',
      section: 'Plants',
      kind: 'do',
      title: 'Tender plants in or out, dead growth away, by the season',
      detail:
        'Before the killing frost lifted, labelled, stored frost-free, and where is written down; after it the rest cut back before it rots in the water.',
      plants: ['lift', 'cut-back', 'plant-out'],
    },
    {
      key: 'feed',
      section: 'Plants',
      kind: 'dose',
      title: 'Feed lilies and lotus in their baskets',
      plants: ['feed'],
      detail:
        'Monthly while the water is above {18|temperature}: one or two tablets pushed into the soil of each basket, never loose in the bed.',
    },
    {
      key: 'pale',
      section: 'Plants',
      kind: 'decide',
      title: 'How does the bed look?',
      detail:
        'Pale or stunted where the rest is green: water may be running under the roots. Dig a hand deep and look whether they stand wet.',
      plants: ['look-at-roots'],
      choices: [
        { code: 'green', label: 'Green and even' },
        { code: 'pale-wet', label: 'Pale or stunted, roots wet' },
        { code: 'pale-dry', label: 'Pale or stunted, roots dry' },
        { code: 'rampant', label: 'Rampant' },
      ],
    },
    {
      key: 'cuttings',
      section: 'Plants',
      kind: 'measure',
      title: 'Count what is taken away',
      figures: ['cuttingBuckets'],
      detail: 'Buckets of {0.01|volume}: cuttings carry nitrogen and phosphorus out of the pond.',
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'Take dead leaves off the water when you see them: what rots in it feeds algae.',
}

/** @source house defaults; logged times correct the minutes */
export const PLANT_CARE_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 1,
  timing: 'interval',
  hands: { baseMin: 50, perM2Min: 1.2 },
  spoil: { baseM3: 0.1, perM2M3: 0.004 },
  fills: false,
  covers: [],
  takesAlong: [],
  after: [],
}
