import { z } from 'zod'
import { ForecastRunId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { forecastRun, stopForecast } from '@/server/use-cases/lab/forecasts'

const path = z.object({ runId: ForecastRunId })

export const GET = signedInRoute({ path }, ({ actor, path }) => forecastRun(actor, path.runId))
export const DELETE = signedInRoute({ path }, ({ actor, path }) => stopForecast(actor, path.runId))
