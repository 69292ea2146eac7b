import { SLUDGE_SIGNS } from '../gates/deep-sludge'
import type { VisitType } from '../step'
import {
  ARRIVE,
  BACTERIA,
  CHANGE_WATER,
  FINISH,
  ISOLATE,
  LOOK_AT_FISH,
  NO_FOLLOW_UP,
  TEST,
  TEST_TAP,
  TREAT_ALGAE,
} from './shared-steps'

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

export const WETLAND_FLUSH: VisitType = {
  key: 'wetland-flush',
  name: 'Wetland flush',
  version: 2,
  steps: [
    ...ARRIVE,
    ISOLATE,
    { ...TEST, readings: ['waterTemp', 'tan', 'nitrite', 'ph', 'clarityDepth'] },
    {
      key: 'sludge-before',
      section: 'Flush',
      kind: 'measure',
      title: 'Measure the sludge in the vault',
      readings: ['sludgeDepth'],
      required: ['sludgeDepth'],
      safety: 'Deep vaults and tanks are confined spaces: no entry. Cover or guard the open vault.',
    },
    {
      key: 'vault',
      section: 'Flush',
      kind: 'decide',
      title: 'Lower the pump into the vault, stir from the far end toward it',
      detail: 'Or open the bottom valve.',
      choices: [...SLUDGE_SIGNS],
      gate: 'deep-sludge',
      safety: 'A smell of bad eggs: stop, ventilate, leave. Hydrogen sulfide numbs the nose before it harms.',
    },
    {
      key: 'pump',
      section: 'Flush',
      kind: 'timer',
      title: 'Pump to planting beds, rinse, repeat until it runs clear',
      timerMinutes: 60,
      figures: ['flushedM3', 'minutesToClear', 'minutesEmpty'],
      detail:
        'The bed must not stand empty for more than an hour: that is what this timer is for. Rinse with pond water, never with chlorinated water.',
      safety: 'Not to storm drains or streams unless the local rules allow it.',
    },
    {
      key: 'colour',
      section: 'Flush',
      kind: 'decide',
      title: 'Colour of the sludge',
      choices: [
        { code: 'brown', label: 'Brown, earthy' },
        { code: 'dark', label: 'Dark, peaty' },
        { code: 'black', label: 'Black, smelling' },
      ],
    },
    {
      key: 'check',
      section: 'Flush',
      kind: 'do',
      title: 'Distribution even, breather open, no roots in the pipe, top gravel level',
      detail: 'Water shows everywhere at the surface at the same time.',
    },
    {
      key: 'restart',
      section: 'Flush',
      kind: 'do',
      title: 'Pump on, bed full, flow over every edge',
      safety: 'Power back on only when everyone is out of the water.',
    },
    ...FINISH,
  ],
  followUpDays: [3, 7],
  followUpTitle: 'Test after the flush',
  followUpReadings: ['tan', 'nitrite'],
  customerNote: 'The water may be a little cloudy for a day.',
}

/** Patio tubs and other ponds without a pump. */
export const TUB_CARE: VisitType = {
  key: 'tub-care',
  name: 'Patio tub care',
  version: 2,
  steps: [
    ...ARRIVE,
    { ...TEST, readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'kh', 'clarityDepth'] },
    TEST_TAP,
    { key: 'overflow', section: 'Tub', kind: 'do', title: 'Overflow hole open, its mesh clean' },
    {
      ...CHANGE_WATER,
      section: 'Tub',
      title: 'Change a part of the water',
      detail:
        'Daily for the first days of a new tub, then as the tests say. Treated, and of the same temperature. Write down how much; 0 if none.',
    },
    {
      key: 'tub-plants',
      section: 'Tub',
      kind: 'measure',
      title: 'Thin floating plants to half cover',
      figures: ['coverShare'],
      plants: ['thin', 'tidy'],
    },
    { key: 'tub-algae', section: 'Tub', kind: 'do', title: 'Algae out by hand' },
    {
      key: 'mosquito',
      section: 'Tub',
      kind: 'decide',
      title: 'Mosquito larvae?',
      choices: [
        { code: 'none', label: 'None' },
        { code: 'few', label: 'A few, fish take them' },
        { code: 'many', label: 'Many: skimmed off' },
      ],
    },
    LOOK_AT_FISH,
    {
      key: 'cover',
      section: 'Tub',
      kind: 'do',
      title: 'Cover against cats and birds; place for the season',
      detail: 'In winter frost-free or deep enough; in summer not in full sun all day. Few small fish.',
      safety:
        'A tub is deep enough to drown a small child: grid or cover it. Lift full containers with two people or a machine above {25|mass}.',
    },
    {
      key: 'care-cards',
      section: 'Tub',
      kind: 'do',
      title: 'Leave the care cards asked for',
      detail:
        'Green water and water fleas: stir daily, feed sparingly, harvest before they crash, keep a spare. Fry: apart while they fit into a mouth, back when they do not. Holidays: a cover, a topped-up tub, no feeding by neighbours.',
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote:
    'Top up with treated water of the same warmth, take algae out by hand, and keep half of the surface free.',
}
