import type { VisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, ISOLATE, NO_FOLLOW_UP, TEST, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const WINTER_SHUTDOWN: VisitType = {
  key: 'winter-shutdown',
  name: 'Winter shutdown',
  version: 2,
  steps: [
    ...ARRIVE,
    ISOLATE,
    TEST,
    TEST_TAP,
    { key: 'drain', section: 'Shut down', kind: 'do', title: 'Pump off; filters and pipes drained, the breather open' },
    {
      ...CHANGE_WATER,
      key: 'leaves',
      section: 'Shut down',
      title: 'About a third of the water out with the leaves, treated water in',
    },
    {
      key: 'salt',
      section: 'Shut down',
      kind: 'dose',
      title: 'Winter salt, where the house rules say so and the plants allow',
      detail: 'Write down what went in; 0 for none. It leaves only with water.',
      quantity: 'winter-salt',
      products: ['salt'],
      figures: ['saltKg'],
      readings: ['salinity'],
      gate: 'salt',
    },
    {
      key: 'store',
      section: 'Shut down',
      kind: 'do',
      title: 'Pump and lamp cleaned and stored frost-free',
      detail: 'The pump kept wet if its seals want it. Media out or kept, by the house rules. Record where.',
      safety: 'Lift with two people or a machine above {25|mass}.',
    },
    { key: 'caps', section: 'Shut down', kind: 'do', title: 'Pipe ends covered against animals' },
    {
      key: 'deicer',
      section: 'Shut down',
      kind: 'do',
      title: 'De-icer and aerator in place, with the date to switch on',
      safety: 'RCD/GFCI outlet and drip loop; wiring by a licensed electrician.',
    },
    {
      key: 'falls-safe',
      section: 'Shut down',
      kind: 'do',
      title: 'Falls and edges safe for the winter',
      detail: 'Nothing loose that ice can lift; level looked at again after the first freeze.',
    },
    { key: 'no-feed', section: 'Shut down', kind: 'do', title: 'Tell: no feeding until the water is warm again' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'No more feeding until spring. Keep a hole in the ice open; never break it with blows.',
}

/** @source house defaults; logged times correct the minutes */
export const WINTER_SHUTDOWN_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 3,
  timing: 'window',
  hands: { baseMin: 150, perM2Min: 1.1 },
  spoil: { baseM3: 0.15, perM2M3: 0.006 },
  fills: true,
  covers: [],
  takesAlong: ['routine'],
  after: [{ job: 'netting', minDays: 1, maxDays: 365 }],
}
