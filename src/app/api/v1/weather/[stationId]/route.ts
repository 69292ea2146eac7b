import { z } from 'zod'
import { readFileText } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'
import { importWeather } from '@/server/exchange/weather-file'

/** The body is the CSV itself. */
export const POST = signedInRoute(
  { path: z.object({ stationId: z.string().max(80) }) },
  async ({ actor, path, request }) => importWeather(actor, path.stationId, await readFileText(request)),
)
