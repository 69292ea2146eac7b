import type { VisitType } from './step'
import { CLEANOUT_SECOND_DAY } from './types/cleanout-legs'
import { COMMISSIONING, FILTER_BUILD } from './types/new-filter'
import { PLANT_CARE, ROUTINE_VISIT, TUB_CARE, WETLAND_FLUSH } from './types/regular'
import { RESCUE_STAGES } from './types/rescue'
import { AUTUMN_NETTING, SPRING_STARTUP, WINTER_CHECK, WINTER_SETUP, WINTER_SHUTDOWN } from './types/seasonal'
import { SPRING_CLEANOUT } from './types/spring-cleanout'

/** Job types that can be planned. A visit keeps a copy of the steps it began with. */
export const VISIT_TYPES: readonly VisitType[] = [
  SPRING_CLEANOUT,
  SPRING_STARTUP,
  ROUTINE_VISIT,
  PLANT_CARE,
  WETLAND_FLUSH,
  AUTUMN_NETTING,
  WINTER_SHUTDOWN,
  WINTER_SETUP,
  WINTER_CHECK,
  TUB_CARE,
  ...RESCUE_STAGES,
  FILTER_BUILD,
  COMMISSIONING,
]

/** Days of longer work: never planned by themselves, only with the day they belong to. */
export const LATER_DAYS: readonly VisitType[] = [CLEANOUT_SECOND_DAY]

export const visitType = (key: string): VisitType | undefined =>
  [...VISIT_TYPES, ...LATER_DAYS].find((job) => job.key === key)
