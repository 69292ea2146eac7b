import { z } from 'zod'
import { signedInRoute } from '@/server/platform/http/route'
import { endFirmPeriod } from '@/server/firm/firm-periods'

export const DELETE = signedInRoute({ path: z.object({ periodId: z.uuid() }) }, ({ actor, path }) =>
  endFirmPeriod(actor, path.periodId),
)
