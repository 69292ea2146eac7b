import { z } from 'zod'
import { PlanRunId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { planRun } from '@/server/schedule/runs'

export const GET = signedInRoute({ path: z.object({ runId: PlanRunId }) }, ({ actor, path }) =>
  planRun(actor, path.runId),
)
