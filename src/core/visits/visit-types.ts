import type { UsualVisitType } from './step'
import { WHOLE_VISIT_TYPES, type StepWords } from './types'
import { SECOND_DAY_KEY } from './types/cleanout-legs'

/** A visit type of the program; its words are in the catalogue. */
export type KnownVisitType = UsualVisitType<StepWords>

const ALL: readonly KnownVisitType[] = Object.values(WHOLE_VISIT_TYPES).map(({ type }) => type)

/** Visit types that can be planned. A visit keeps a copy of the steps it began with. */
export const VISIT_TYPES: readonly KnownVisitType[] = ALL.filter(({ key }) => key !== SECOND_DAY_KEY)

/** Days of longer work: never planned by themselves, only with the day they belong to. */
export const LATER_DAYS: readonly KnownVisitType[] = ALL.filter(({ key }) => key === SECOND_DAY_KEY)

export const visitType = (key: string): KnownVisitType | undefined => ALL.find((type) => type.key === key)
