import { type Texts } from '../texts'
import type { PlanChange } from '@/domain/schedule/plan-run'
import type { MoveProblem } from '@/core/schedule/plan/judge-move'
import type { BlockedBy, Relaxation } from '@/core/schedule/plan/explain'
import { KIT, SKILLS } from '@/core/visits/planning-facts'
import { duration, shortDate } from '@/domain/shared/dates'

const nameOf = (key: string, t: Texts): string =>
  (SKILLS as readonly string[]).includes(key)
    ? t(`people.skillNames.${key as (typeof SKILLS)[number]}`)
    : t(`people.kitNames.${key as (typeof KIT)[number]}`)

const tanks = (m3: number): string => `${m3 >= 10 ? m3.toFixed(0) : m3.toFixed(1)} m³`

/** What a move by hand would break. */
export function moveProblemWords(problem: MoveProblem, siteOf: (visit: string) => string, t: Texts): string {
  switch (problem.code) {
    case 'outside-window':
      return t('schedule.planning.outsideWindow', {
        earliest: shortDate(problem.earliest),
        latest: shortDate(problem.latest),
      })
    case 'site-closed':
      return t('schedule.planning.siteClosedDayMay')
    case 'crew-off':
      return t('schedule.planning.crewOffDay')
    case 'locked':
      return t('schedule.planning.promisedStaysWhere')
    case 'skill':
      return t('schedule.planning.crewLacks', { nameOf: problem.missing.map((key) => nameOf(key, t)).join(' and ') })
    case 'kit':
      return t('schedule.planning.crewDoesNotCarry', {
        nameOf: problem.missing.map((key) => nameOf(key, t)).join(' and '),
      })
    case 'tank':
      return t('schedule.planning.fishNeedHoldingTanks', {
        needsM3: tanks(problem.needsM3),
        hasM3: tanks(problem.hasM3),
      })
    case 'late':
      return t('schedule.planning.wouldBeginTooLate', {
        visit: siteOf(problem.visit),
        minutes: duration(problem.minutes),
      })
    case 'day-over':
      return t('schedule.planning.dayWouldRunOver', { minutes: duration(problem.minutes) })
    case 'overloaded':
      return t('schedule.planning.truckCouldNotTake')
    case 'spacing':
      return t('schedule.planning.tooCloseTooFar', { visit: siteOf(problem.visit) })
    case 'without':
      return t('schedule.planning.whatMustComeBefore')
    case 'other-crew':
      return t('schedule.planning.otherDayCleanoutAnother')
  }
}

/** Why a visit found no place. */
export function blockedWords(reason: BlockedBy, t: Texts): string {
  switch (reason.code) {
    case 'no-crew-skill':
      return t('schedule.planning.noCrewHas', { nameOf: reason.skills.map((key) => nameOf(key, t)).join(' and ') })
    case 'no-crew-kit':
      return t('schedule.planning.noCrewMayDo', { nameOf: reason.kit.map((key) => nameOf(key, t)).join(' and ') })
    case 'no-crew-tank':
      return t('schedule.planning.fishNeedHoldingTanks2', {
        needsM3: tanks(reason.needsM3),
        hasM3: tanks(reason.hasM3),
      })
    case 'no-working-day':
      return t('schedule.planning.noWorkingDayAble')
    case 'site-closed':
      return t('schedule.planning.siteClosedMayNot')
    case 'too-long':
      return t('schedule.planning.takesLongerThanAny', { minutes: duration(reason.minutes) })
    case 'waits-for':
      return t('schedule.planning.waitsAnotherVisitFound')
    case 'spacing':
      return t('schedule.planning.wouldComeTooClose')
    case 'next-day-full':
      return t('schedule.planning.secondDayFishBack')
    case 'days-full':
      return t('schedule.planning.everyDayWindowFull')
  }
}

/** The least that would let it in. */
export function relaxationWords(relaxation: Relaxation, crewName: (id: string) => string, t: Texts): string {
  const where = `${crewName(relaxation.crew)}, ${shortDate(relaxation.day)}`
  switch (relaxation.code) {
    case 'longer-window':
      return t('schedule.planning.daysMoreWindow', { days: relaxation.days, where })
    case 'longer-day':
      return t('schedule.planning.minutesLongerDay', { minutes: relaxation.minutes, where })
    case 'open-site':
      return t('schedule.planning.customersLeaveClosedDay', { where })
  }
}

/** Why a plan moves a visit that stands: what staying would break, or cost. */
export function whyMovedWords({ breaks, costMin }: NonNullable<PlanChange['why']>, t: Texts): string {
  if (breaks.length > 0)
    return t('schedule.planning.staying', {
      map: breaks
        .map((b) =>
          b.code === 'crew-off'
            ? t('schedule.planning.crewNotOutDay')
            : moveProblemWords(b, () => t('schedule.planning.anotherStop'), t),
        )
        .join('; '),
    })
  return costMin >= 1
    ? t('schedule.planning.stayingWouldCostTravel', { costMin: duration(costMin) })
    : t('schedule.planning.makesRoomOthers')
}

/** How a customer who knows of another day is reached. */
export const tellWords = ({ customer, byEmail, phone }: NonNullable<PlanChange['tell']>, t: Texts): string => {
  const how = () => {
    if (byEmail) return t('schedule.planning.message')
    if (phone === '') return t('schedule.planning.noAddressNoNumber')
    return t('schedule.planning.phone', { phone })
  }

  return `${customer}, ${how()}`
}
