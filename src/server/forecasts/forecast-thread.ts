import { forecastPond } from '@/core/assimilation/forecast-pond'
import { threadOf } from '@/server/platform/threads/thread'

/** Forecasts ponds one after the other in a thread of its own. */
export default threadOf(forecastPond)
