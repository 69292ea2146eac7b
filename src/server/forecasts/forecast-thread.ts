import { parentPort } from 'node:worker_threads'
import { forecastPond, type ForecastTask } from '@/core/assimilation/forecast-pond'

/** Forecasts ponds one after the other in a thread of its own. */
parentPort!.postMessage({ ready: true })
parentPort!.on('message', ({ task }: { task: ForecastTask }) => {
  try {
    parentPort!.postMessage({ made: forecastPond(task) })
  } catch (error) {
    parentPort!.postMessage({ problem: (error as Error).message })
  }
})
