import { z } from 'zod'
import { VisitId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { dayVerdicts } from '@/server/rounds/day-verdicts'

export const GET = signedInRoute({ path: z.object({ visitId: VisitId }) }, ({ actor, path }) =>
  dayVerdicts(actor, path.visitId),
)
