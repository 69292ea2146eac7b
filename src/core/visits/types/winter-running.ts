import type { VisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, NO_FOLLOW_UP, TEST, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

/** For ponds whose filter runs through the winter. */
export const WINTER_SETUP: VisitType = {
  key: 'winter-running',
  name: 'Winter set-up, running on',
  version: 1,
  steps: [
    ...ARRIVE,
    TEST,
    TEST_TAP,
    {
      key: 'skimmer',
      section: 'Set up',
      kind: 'do',
      title: 'Skimmer and pads clean for the winter',
      safety: 'Pump off and isolated before reaching into the skimmer.',
    },
    { ...CHANGE_WATER, section: 'Set up' },
    {
      key: 'intake',
      section: 'Set up',
      kind: 'do',
      title: 'Raise the intake off the bottom',
      detail: 'The warmest water lies deepest: leave it still for the fish.',
    },
    {
      key: 'deicer',
      section: 'Set up',
      kind: 'do',
      title: 'De-icer and aerator ready, with the date to switch on',
      safety: 'RCD/GFCI outlet and drip loop; wiring by a licensed electrician.',
    },
    {
      key: 'ice-watch',
      section: 'Set up',
      kind: 'do',
      title: 'Agree who watches for ice dams after every frost, and whom to call at night',
    },
    { key: 'no-feed', section: 'Set up', kind: 'do', title: 'Tell: no feeding until the water is warm again' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'Look for ice dams after every frost, and call us when water leaves the falls.',
}

/** @source house defaults; logged times correct the minutes */
export const WINTER_SETUP_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 2,
  timing: 'window',
  hands: { baseMin: 80, perM2Min: 0.4 },
  spoil: { baseM3: 0.05, perM2M3: 0.002 },
  fills: false,
  covers: [],
  takesAlong: ['routine'],
  after: [],
}
