import { z } from 'zod'
import { VisitId } from '@/domain/ids'
import { finishVisit } from '@/server/use-cases/field'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ path: z.object({ visitId: VisitId }) }, ({ actor, path }) => finishVisit(actor, path.visitId))
