import { z } from 'zod'
import { signedInRoute } from '@/server/http/route'
import { endFirmPeriod } from '@/server/use-cases/firm-periods'

export const DELETE = signedInRoute({ path: z.object({ periodId: z.uuid() }) }, ({ actor, path }) => endFirmPeriod(actor, path.periodId))
