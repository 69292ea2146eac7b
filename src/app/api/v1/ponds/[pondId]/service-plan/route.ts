import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { ServicePlan } from '@/domain/schedule/service-plan'
import { signedInRoute } from '@/server/platform/http/route'
import { setServicePlan } from '@/server/schedule/service-plans'

export const PUT = signedInRoute(
  { path: z.object({ pondId: PondId }), body: z.strictObject({ version: z.int().min(0), lines: ServicePlan }) },
  ({ actor, path, body }) => setServicePlan(actor, path.pondId, body.version, body.lines),
)
