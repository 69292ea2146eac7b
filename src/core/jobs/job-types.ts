import { SPRING_CLEANOUT } from './spring-cleanout'
import type { JobType } from './step'

/** Job types that can be planned. A visit keeps a copy of the steps it began with. */
export const JOB_TYPES: readonly JobType[] = [SPRING_CLEANOUT]

export const jobType = (key: string): JobType | undefined => JOB_TYPES.find((job) => job.key === key)
