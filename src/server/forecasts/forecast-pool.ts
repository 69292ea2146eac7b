import type { ForecastMade, ForecastTask } from '@/core/assimilation/forecast-pond'
import { threadProgram } from '@/server/platform/threads/programs'
import { ThreadPool } from '@/server/platform/threads/thread-pool'

/** One pond takes a second or two; one that takes this long will never come to an end. */
const DEADLINE_MS = 120_000

export type ForecastPool = ThreadPool<ForecastTask, ForecastMade>

/** A few threads that forecast ponds. */
export const forecastPool = (size: number, deadlineMs = DEADLINE_MS): ForecastPool =>
  new ThreadPool({ size, deadlineMs, program: threadProgram('forecast-thread') })
