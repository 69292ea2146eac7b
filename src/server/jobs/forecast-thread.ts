import { parentPort } from 'node:worker_threads'
import { forecastPond, type ForecastTask } from '../../core/ecosystem/forecast-pond'

/** Forecasts ponds one after the other in a thread of its own. */
parentPort!.on('message', ({ id, task }: { id: number; task: ForecastTask }) => {
  try {
    parentPort!.postMessage({ id, made: forecastPond(task) })
  } catch (error) {
    parentPort!.postMessage({ id, problem: (error as Error).message })
  }
})
