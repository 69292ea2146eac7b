import type { JobType } from './step'
import { PLANT_CARE, ROUTINE_VISIT, WETLAND_FLUSH } from './types/regular'
import { AUTUMN_NETTING, SPRING_STARTUP, WINTER_CHECK, WINTER_SHUTDOWN } from './types/seasonal'
import { SPRING_CLEANOUT } from './types/spring-cleanout'

/** Job types that can be planned. A visit keeps a copy of the steps it began with. */
export const JOB_TYPES: readonly JobType[] = [
  SPRING_CLEANOUT,
  SPRING_STARTUP,
  ROUTINE_VISIT,
  PLANT_CARE,
  WETLAND_FLUSH,
  AUTUMN_NETTING,
  WINTER_SHUTDOWN,
  WINTER_CHECK,
]

export const jobType = (key: string): JobType | undefined => JOB_TYPES.find((job) => job.key === key)
