import { z } from 'zod'
import { VisitId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { fieldVisit } from '@/server/use-cases/field/pack'

export const GET = signedInRoute({ path: z.object({ visitId: VisitId }) }, ({ actor, path }) => fieldVisit(actor, path.visitId))
