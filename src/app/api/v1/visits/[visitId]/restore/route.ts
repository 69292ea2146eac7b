import { z } from 'zod'
import { VisitId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { restoreVisit } from '@/server/visits/visit-cancelling'

export const POST = signedInRoute({ path: z.object({ visitId: VisitId }) }, ({ actor, path }) =>
  restoreVisit(actor, path.visitId),
)
