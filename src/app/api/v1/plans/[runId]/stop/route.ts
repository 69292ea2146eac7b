import { z } from 'zod'
import { PlanRunId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { stopPlan } from '@/server/schedule/runs'

export const POST = signedInRoute({ path: z.object({ runId: PlanRunId }) }, ({ actor, path }) =>
  stopPlan(actor, path.runId),
)
