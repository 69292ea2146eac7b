import { signedInRoute } from '@/server/platform/http/route'
import { askForecast } from '@/server/forecasts/forecasts'

export const POST = signedInRoute({}, ({ actor }) => askForecast(actor))
