import type { JobType } from '../step'
import { ARRIVE, FINISH, ISOLATE, TEST } from './shared-steps'

const NO_FOLLOW_UP = { followUpDays: [0, 0], followUpTitle: '', followUpReadings: [] } as const

export const ROUTINE_VISIT: JobType = {
  key: 'routine',
  name: 'Routine visit',
  version: 1,
  steps: [
    ...ARRIVE,
    TEST,
    { key: 'level', section: 'Water', kind: 'do', title: 'Level and top-up; note the drop', detail: 'Treated mains water is dechlorinated.' },
    { key: 'skimmer', section: 'Water', kind: 'do', title: 'Skimmer basket emptied, mat if needed', safety: 'Pump off before reaching into the skimmer.' },
    {
      key: 'flow',
      section: 'Water',
      kind: 'do',
      title: 'Flow over the falls, pump noise, lamp on',
      detail: 'A weak sheet is the first sign of a clogged pump or bed.',
    },
    { key: 'plants', section: 'Life', kind: 'do', title: 'Plants: deadhead, thin, yellow leaves out' },
    { key: 'algae', section: 'Life', kind: 'decide', title: 'Algae', choices: ['None to speak of', 'Left where it does no harm', 'Removed by hand'] },
    { key: 'fish', section: 'Life', kind: 'count-fish', title: 'Look the fish over, count losses' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'Everything was looked over. Feed by the temperature, and top up when the level falls.',
}

export const PLANT_CARE: JobType = {
  key: 'plant-care',
  name: 'Plant care',
  version: 1,
  steps: [
    ...ARRIVE,
    { key: 'spreaders', section: 'Plants', kind: 'do', title: 'Spreaders cut back from inlets, screens and edges' },
    {
      key: 'deadhead',
      section: 'Plants',
      kind: 'do',
      title: 'Deadhead before seed falls; dead leaves out of the water',
      safety: 'Waders only in known depth; a second person at the edge.',
    },
    {
      key: 'divide',
      section: 'Plants',
      kind: 'do',
      title: 'Divide and replant where it is crowded',
      detail: 'Never release plants outside; check lists before taking any along.',
    },
    { key: 'feed', section: 'Plants', kind: 'do', title: 'Feed lilies in their baskets' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'Plants were cut back before they seed; the cuttings carried nutrients out of the pond.',
}

export const WETLAND_FLUSH: JobType = {
  key: 'wetland-flush',
  name: 'Wetland flush',
  version: 1,
  steps: [
    ...ARRIVE,
    ISOLATE,
    {
      key: 'vault',
      section: 'Flush',
      kind: 'do',
      title: 'Lower the pump into the vault, stir from the far end toward it',
      safety: 'Deep vaults and tanks are confined spaces: no entry. A smell of bad eggs: stop, ventilate, leave.',
    },
    {
      key: 'pump',
      section: 'Flush',
      kind: 'timer',
      title: 'Pump to planting beds until it runs clear',
      timerMinutes: 30,
      detail: 'Do not let the bed stand empty for more than an hour; never rinse with chlorinated water.',
    },
    { key: 'sludge', section: 'Flush', kind: 'do', title: 'Note sludge depth, colour and minutes to clear' },
    { key: 'check', section: 'Flush', kind: 'do', title: 'Distribution even, breather open, no roots in the pipe' },
    ...FINISH,
  ],
  followUpDays: [3, 7],
  followUpTitle: 'Test after the flush',
  followUpReadings: ['tan', 'nitrite'],
  customerNote: 'The sludge of the season is out of the filter; the water may be a little cloudy for a day.',
}
