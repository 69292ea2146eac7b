import { z } from 'zod'
import { PlanRunId } from '@/domain/shared/ids'
import { AcceptPlanInput } from '@/domain/schedule/plan-run'
import { signedInRoute } from '@/server/platform/http/route'
import { acceptPlan } from '@/server/schedule/accept'

export const POST = signedInRoute(
  { path: z.object({ runId: PlanRunId }), body: AcceptPlanInput },
  ({ actor, path, body }) => acceptPlan(actor, path.runId, body.keys),
)
