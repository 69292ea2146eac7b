import type { JobPlanning } from '../planning-facts'
import type { UsualStep, UsualVisitType, VisitType } from '../step'
import { SPRING_CLEANOUT } from './spring-cleanout'
import { wordedStep, type VisitWords } from '../worded'

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

export const TANKS_CHECKED = {
  key: 'tanks-morning',
  section: 'fishBack',
  kind: 'measure',
  words: 'tanksMorning',
  readings: ['tankTemp', 'tankOxygen'],
  required: ['tankTemp', 'tankOxygen'],
} as const satisfies UsualStep

export const OVERNIGHT = {
  key: 'tanks-overnight',
  section: 'refill',
  kind: 'measure',
  words: 'tanksOvernight',
  readings: ['tankTemp', 'tankOxygen'],
  required: ['tankTemp', 'tankOxygen'],
} as const satisfies UsualStep

/** The first day of a cleanout that takes two: all up to the refill, which runs on; the fish stay in their tanks. */
export function firstDayOf(cleanout: VisitType, words: VisitWords): VisitType {
  const steps = cleanout.steps.filter((step) => !WHEN_FULL.has(step.key))
  const closing = steps.findIndex((step) => CLOSING.has(step.key))
  const at = closing < 0 ? steps.length : closing
  return {
    ...cleanout,
    steps: [...steps.slice(0, at), wordedStep(OVERNIGHT, words), ...steps.slice(at)],
    // what follows a cleanout follows its second day
    followUpReadings: [],
    customerNote: words.overnightNote,
  }
}

const onSecondDay = (step: { readonly key: string }) => WHEN_FULL.has(step.key) || CLOSING.has(step.key)

/** The second day of a cleanout that takes two: the refill's end, the test, and the fish back. */
export function secondDayOf(cleanout: VisitType, words: VisitWords): VisitType {
  const steps = [wordedStep(TANKS_CHECKED, words), ...cleanout.steps.filter(onSecondDay)]
  return { ...cleanout, key: SECOND_DAY_KEY, name: words.name(SECOND_DAY_KEY), steps }
}

export const CLEANOUT_SECOND_DAY = {
  ...SPRING_CLEANOUT,
  key: SECOND_DAY_KEY,
  steps: [TANKS_CHECKED, ...SPRING_CLEANOUT.steps.filter(onSecondDay)],
} as const satisfies UsualVisitType

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
