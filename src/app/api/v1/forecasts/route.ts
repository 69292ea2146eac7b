import { signedInRoute } from '@/server/http/route'
import { askForecast } from '@/server/use-cases/lab/forecasts'

export const POST = signedInRoute({}, ({ actor }) => askForecast(actor))
