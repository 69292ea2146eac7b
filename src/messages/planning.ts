import type { PlanChange } from '@/domain/schedule/plan-run'
import type { MoveProblem } from '@/core/schedule/plan/judge-move'
import type { BlockedBy, Relaxation } from '@/core/schedule/plan/explain'
import { jobType } from '@/core/visits/job-types'
import { KIT_NAMES, SKILL_NAMES } from '@/domain/people/crew-setup'
import { duration, shortDate } from '@/domain/shared/dates'

const nameOf = (key: string): string => ({ ...SKILL_NAMES, ...KIT_NAMES })[key as keyof typeof SKILL_NAMES] ?? key

const tanks = (m3: number): string => `${m3 >= 10 ? m3.toFixed(0) : m3.toFixed(1)} m³`

export const jobName = (key: string): string => jobType(key)?.name ?? key

/** What a move by hand would break. */
export function moveProblemWords(problem: MoveProblem, siteOf: (visit: string) => string): string {
  switch (problem.code) {
    case 'outside-window':
      return `outside its window, ${shortDate(problem.earliest)} – ${shortDate(problem.latest)}`
    case 'site-closed':
      return 'the site is closed that day, or may not be filled'
    case 'crew-off':
      return 'the crew is off that day'
    case 'locked':
      return 'promised: it stays where it is'
    case 'skill':
      return `the crew lacks ${problem.missing.map(nameOf).join(' and ')}`
    case 'kit':
      return `the crew does not carry ${problem.missing.map(nameOf).join(' and ')}`
    case 'tank':
      return `its fish need ${tanks(problem.needsM3)} of holding tanks, the crew carries ${tanks(problem.hasM3)}`
    case 'late':
      return `${siteOf(problem.visit)} would begin ${duration(problem.minutes)} too late`
    case 'day-over':
      return `the day would run ${duration(problem.minutes)} over`
    case 'overloaded':
      return 'the truck could not take all of it away'
    case 'spacing':
      return `too close to, or too far from, the visit at ${siteOf(problem.visit)}`
    case 'without':
      return 'what must come before it is not planned'
    case 'other-crew':
      return 'the other day of this cleanout is another crew’s'
  }
}

/** Why a visit found no place. */
export function blockedWords(reason: BlockedBy): string {
  switch (reason.code) {
    case 'no-crew-skill':
      return `no crew has ${reason.skills.map(nameOf).join(' and ')}`
    case 'no-crew-kit':
      return `no crew that may do it carries ${reason.kit.map(nameOf).join(' and ')}`
    case 'no-crew-tank':
      return `its fish need ${tanks(reason.needsM3)} of holding tanks, and no able crew carries more than ${tanks(reason.hasM3)}`
    case 'no-working-day':
      return 'no working day of an able crew lies in its window'
    case 'site-closed':
      return 'the site is closed, or may not be filled, on every day of its window'
    case 'too-long':
      return `it takes ${duration(reason.minutes)}, longer than any day allows with the way there`
    case 'waits-for':
      return 'it waits for another visit that found no place'
    case 'spacing':
      return 'it would come too close to the visit before or after it'
    case 'next-day-full':
      return 'its second day, with the fish back, finds no place with the same crew'
    case 'days-full':
      return 'every day of its window is full'
  }
}

/** The least that would let it in. */
export function relaxationWords(relaxation: Relaxation, crewName: (id: string) => string): string {
  const where = `${crewName(relaxation.crew)}, ${shortDate(relaxation.day)}`
  switch (relaxation.code) {
    case 'longer-window':
      return `${relaxation.days} days more of window: ${where}`
    case 'longer-day':
      return `${relaxation.minutes} minutes longer day: ${where}`
    case 'open-site':
      return `with the customer’s leave on a closed day: ${where}`
  }
}

/** Why a plan moves a visit that stands: what staying would break, or cost. */
export function whyMovedWords({ breaks, costMin }: NonNullable<PlanChange['why']>): string {
  if (breaks.length > 0)
    return `staying: ${breaks.map((b) => (b.code === 'crew-off' ? 'the crew is not out that day' : moveProblemWords(b, () => 'another stop'))).join('; ')}`
  return costMin >= 1 ? `staying would cost ${duration(costMin)} of travel and days off the best` : 'makes room for others'
}

/** How a customer who knows of another day is reached. */
export const tellWords = ({ customer, byLetter, phone }: NonNullable<PlanChange['tell']>): string =>
  `${customer}, ${byLetter ? 'by letter' : phone === '' ? 'no address and no number on file' : `by phone ${phone}`}`
