import { z } from 'zod'
import { PlanRunId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { planRun } from '@/server/use-cases/planning/runs'

export const GET = signedInRoute({ path: z.object({ runId: PlanRunId }) }, ({ actor, path }) => planRun(actor, path.runId))
