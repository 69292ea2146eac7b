import type { JobType } from '../step'
import { ARRIVE, FINISH, ISOLATE, TEST } from './shared-steps'

const AFTER = { followUpDays: [3, 7], followUpTitle: 'Test after the visit', followUpReadings: ['tan', 'nitrite'] } as const
const NO_FOLLOW_UP = { followUpDays: [0, 0], followUpTitle: '', followUpReadings: [] } as const

export const SPRING_STARTUP: JobType = {
  key: 'spring-startup',
  name: 'Spring startup',
  version: 1,
  steps: [
    ...ARRIVE,
    ISOLATE,
    TEST,
    { key: 'winter-gear', section: 'Start', kind: 'do', title: 'Net and de-icer off, debris netted out', detail: 'Dry, bag, label, store where agreed.' },
    {
      key: 'skimmer',
      section: 'Start',
      kind: 'do',
      title: 'Skimmer and pads rinsed, part by part',
      detail: 'In pond water, low pressure; never all media at once.',
    },
    { key: 'prime', section: 'Start', kind: 'do', title: 'Caps off pipe ends, pump primed and on, leaks looked for' },
    { key: 'lamp', section: 'Start', kind: 'decide', title: 'Is the lamp due?', choices: ['Renewed today, date logged', 'Not yet due', 'No lamp here'] },
    {
      key: 'change',
      section: 'Start',
      kind: 'do',
      title: 'Change at most a third of the water, dechlorinated',
      detail: 'Dechlorinator by its label for the water that goes in.',
    },
    {
      key: 'bacteria',
      section: 'Start',
      kind: 'do',
      title: 'Bacteria by temperature',
      detail: 'Cold-water kind below 10 °C, ordinary ones from 10 °C rising.',
    },
    { key: 'plants', section: 'Start', kind: 'do', title: 'Plants cut back, divided and fed' },
    ...FINISH,
  ],
  ...AFTER,
  customerNote: 'The pond is running again. Feed lightly and only once the water is warm enough.',
}

export const AUTUMN_NETTING: JobType = {
  key: 'netting',
  name: 'Autumn netting',
  version: 1,
  steps: [
    ...ARRIVE,
    { key: 'shade', section: 'Net', kind: 'do', title: 'Shade cloth down and stored' },
    { key: 'cut-back', section: 'Net', kind: 'do', title: 'Cut back, thin, lift tender plants' },
    {
      key: 'net',
      section: 'Net',
      kind: 'do',
      title: 'Net up as a tent: posts, ridge, pins',
      detail: 'Pitch at least 16°, clear of the water under wet leaves, bird-safe at the edges.',
      safety: 'Ladders on firm ground only; no lone work over deep water.',
    },
    { key: 'label', section: 'Net', kind: 'do', title: 'Label what is stored, and where' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'The net keeps leaves out of the water. Shake it off when it is full; do not walk on it.',
}

export const WINTER_SHUTDOWN: JobType = {
  key: 'winter-shutdown',
  name: 'Winter shutdown',
  version: 1,
  steps: [
    ...ARRIVE,
    ISOLATE,
    TEST,
    { key: 'drain', section: 'Shut down', kind: 'do', title: 'Drain filters and pipes, cap the pipe ends' },
    {
      key: 'leaves',
      section: 'Shut down',
      kind: 'do',
      title: 'A third of the water out with the leaves',
      safety: 'Not to storm drains or streams unless the local rules allow it.',
    },
    { key: 'refill', section: 'Shut down', kind: 'do', title: 'Refill with treated water', detail: 'Dechlorinator by its label for the water that goes in.' },
    {
      key: 'store',
      section: 'Shut down',
      kind: 'do',
      title: 'Pump and lamp cleaned and stored frost-free',
      safety: 'Lift with two people or a machine above 25 kg.',
    },
    {
      key: 'deicer',
      section: 'Shut down',
      kind: 'do',
      title: 'De-icer and aerator in place, with the date to switch on',
      safety: 'RCD/GFCI outlet and drip loop; wiring by a licensed electrician.',
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'No more feeding until spring. Keep a hole in the ice open; never break it with blows.',
}

export const WINTER_CHECK: JobType = {
  key: 'winter-check',
  name: 'Winter check',
  version: 1,
  steps: [
    ...ARRIVE,
    {
      key: 'hole',
      section: 'Check',
      kind: 'decide',
      title: 'Is the hole in the ice open, the aerator on?',
      choices: ['Yes', 'No: opened with warm water', 'No ice'],
      safety: 'Never walk on the ice; never work alone beside it.',
    },
    { key: 'level', section: 'Check', kind: 'do', title: 'Level, ice dams, net load, snow off part of the ice' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'The pond is wintering as it should.',
}
