import { z } from 'zod'
import { PlanRunId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { stopPlan } from '@/server/use-cases/planning/runs'

export const POST = signedInRoute({ path: z.object({ runId: PlanRunId }) }, ({ actor, path }) => stopPlan(actor, path.runId))
