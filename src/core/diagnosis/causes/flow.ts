import { type Cause, step } from '../cause'

/** Less water over the falls. */
export const FLOW = {
  'basket-full': {
    prior: 0.06,
    shows: {
      'flow-less': 0.97,
      'basket-full': 0.95,
      'leaves-in': 0.5,
    },
    remedies: [step('emptyWeeklyWhileLeaves', 0, 'routine')],
    betterDays: [0, 1],
  },
  'pump-worn': {
    prior: 0.03,
    shows: { 'flow-less': 0.97, 'pump-weak': 0.95, 'pump-noisy': 0.6 },
    remedies: [step('isolateProveDeadClean', 1, 'routine')],
    betterDays: [0, 2],
    specialist: 'electrician',
  },
  'bed-clogged': {
    prior: 0.036,
    shows: { 'flow-less': 0.93, 'bed-stands-high': 0.93, 'sludge-deep': 0.4 },
    remedies: [step('flushBedRunsLight', 2, 'wetland-flush')],
    betterDays: [0, 2],
  },
  'air-lock': {
    prior: 0.021,
    shows: {
      'flow-less': 0.95,
      'air-in-pipe': 0.93,
      'pump-noisy': 0.5,
      'level-falls': 0.3,
    },
    remedies: [step('fillUpSkimmersLine', 0, 'routine')],
    betterDays: [0, 1],
  },
} as const satisfies Record<string, Cause>
