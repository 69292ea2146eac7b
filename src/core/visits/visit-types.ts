import type { VisitType } from './step'
import { WHOLE_VISIT_TYPES } from './types'
import { SECOND_DAY_KEY } from './types/cleanout-legs'

const ALL: readonly VisitType[] = Object.values(WHOLE_VISIT_TYPES).map(({ type }) => type)

/** Visit types that can be planned. A visit keeps a copy of the steps it began with. */
export const VISIT_TYPES: readonly VisitType[] = ALL.filter(({ key }) => key !== SECOND_DAY_KEY)

/** Days of longer work: never planned by themselves, only with the day they belong to. */
export const LATER_DAYS: readonly VisitType[] = ALL.filter(({ key }) => key === SECOND_DAY_KEY)

export const visitType = (key: string): VisitType | undefined => ALL.find((type) => type.key === key)
