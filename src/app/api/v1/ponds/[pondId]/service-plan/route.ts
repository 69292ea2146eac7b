import { z } from 'zod'
import { PondId } from '@/domain/ids'
import { ServicePlan } from '@/domain/service-plan'
import { signedInRoute } from '@/server/http/route'
import { setServicePlan } from '@/server/use-cases/planning/service-plans'

export const PUT = signedInRoute(
  { path: z.object({ pondId: PondId }), body: z.strictObject({ version: z.int().min(0), lines: ServicePlan }) },
  ({ actor, path, body }) => setServicePlan(actor, path.pondId, body.version, body.lines),
)
