import { z } from 'zod'
import { PlanRunId } from '@/domain/ids'
import { AcceptPlanInput } from '@/domain/plan-run'
import { signedInRoute } from '@/server/http/route'
import { acceptPlan } from '@/server/use-cases/planning/accept'

export const POST = signedInRoute({ path: z.object({ runId: PlanRunId }), body: AcceptPlanInput }, ({ actor, path, body }) =>
  acceptPlan(actor, path.runId, body.keys),
)
