import { z } from 'zod'
import { VisitId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { whyVisit } from '@/server/schedule/why-visit'

export const GET = signedInRoute({ path: z.object({ visitId: VisitId }) }, ({ actor, path }) =>
  whyVisit(actor, path.visitId),
)
