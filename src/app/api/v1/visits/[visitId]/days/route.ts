import { z } from 'zod'
import { VisitId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { dayVerdicts } from '@/server/use-cases/planning/day-verdicts'

export const GET = signedInRoute({ path: z.object({ visitId: VisitId }) }, ({ actor, path }) => dayVerdicts(actor, path.visitId))
