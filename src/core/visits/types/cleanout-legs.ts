import type { JobPlanning } from '../planning-facts'
import type { VisitStep, VisitType } from '../step'
import { SPRING_CLEANOUT } from './spring-cleanout'

/** Key of the day after a cleanout whose pond fills longer than a crew can wait. */
export const SECOND_DAY_KEY = 'cleanout-second-day'

/**
 * Days that fish may stay in tanks, from the first day of a cleanout on.
 * @source house default: 24 hours, aerated, covered and watched
 */
export const MAX_DAYS_IN_TANKS = 1

/**
 * A refill longer than this runs on after the crew has left, and the fish go back the next day.
 * @source house default
 */
export const LONGEST_REFILL_WAIT_MIN = 150

/** Steps of a cleanout that come once the pond is full again. */
const WHEN_FULL: ReadonlySet<string> = new Set([
  'top-up',
  'test-refilled',
  'acclimate',
  'fish-back',
  'bacteria',
  'after-photos',
])
/** Steps that end each of the two days. */
const CLOSING: ReadonlySet<string> = new Set(['clean-up', 'sign'])

const TANKS_CHECKED: VisitStep = {
  key: 'tanks-morning',
  section: 'Fish back',
  kind: 'measure',
  title: 'Holding tanks as found in the morning',
  detail: 'Aerator running, covers on, fish calm. Count any dead before anything else.',
  readings: ['tankTemp', 'tankOxygen'],
  required: ['tankTemp', 'tankOxygen'],
}

const OVERNIGHT: VisitStep = {
  key: 'tanks-overnight',
  section: 'Refill',
  kind: 'measure',
  title: 'Make the holding tanks safe for the night',
  detail:
    'Aerator on a supply that stays on, with a second one running or at hand; tanks shaded, covered and out of reach of herons and cats; hose secured so that the refill cannot overflow or siphon back.',
  readings: ['tankTemp', 'tankOxygen'],
  required: ['tankTemp', 'tankOxygen'],
  safety:
    'Somebody has to look at the tanks and the hose in the evening: name who. An unwatched open pond and tanks are drowning hazards: guard them.',
}

/** The first day of a cleanout that takes two: all up to the refill, which runs on; the fish stay in their tanks. */
export function firstDayOf(cleanout: VisitType): VisitType {
  const steps = cleanout.steps.filter((step) => !WHEN_FULL.has(step.key))
  const closing = steps.findIndex((step) => CLOSING.has(step.key))
  const at = closing < 0 ? steps.length : closing
  return {
    ...cleanout,
    steps: [...steps.slice(0, at), OVERNIGHT, ...steps.slice(at)],
    // what follows a cleanout follows its second day
    followUpReadings: [],
    customerNote:
      'The pond fills through the night and the fish stay in covered, aerated tanks. Please leave pump, hose and aerator as they are; call us if any of them stops.',
  }
}

/** The second day of a cleanout that takes two: the refill's end, the test, and the fish back. */
export function secondDayOf(cleanout: VisitType): VisitType {
  const steps = cleanout.steps.filter((step) => WHEN_FULL.has(step.key) || CLOSING.has(step.key))
  return { ...cleanout, key: SECOND_DAY_KEY, name: 'Cleanout, second day: fish back', steps: [TANKS_CHECKED, ...steps] }
}

export const CLEANOUT_SECOND_DAY: VisitType = secondDayOf(SPRING_CLEANOUT)

/** @source house defaults; logged times correct the minutes */
export const CLEANOUT_SECOND_DAY_PLANNING: JobPlanning = {
  skills: ['fish'],
  kit: ['tank'],
  value: 4,
  timing: 'by-hand',
  hands: { baseMin: 140, perM2Min: 0 },
  spoil: { baseM3: 0, perM2M3: 0 },
  fills: true,
  covers: [],
  takesAlong: [],
  after: [],
}
