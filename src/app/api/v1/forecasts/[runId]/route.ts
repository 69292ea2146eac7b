import { z } from 'zod'
import { ForecastRunId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { forecastRun, stopForecast } from '@/server/forecasts/forecasts'

const path = z.object({ runId: ForecastRunId })

export const GET = signedInRoute({ path }, ({ actor, path }) => forecastRun(actor, path.runId))
export const DELETE = signedInRoute({ path }, ({ actor, path }) => stopForecast(actor, path.runId))
