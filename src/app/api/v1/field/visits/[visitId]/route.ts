import { z } from 'zod'
import { VisitId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { fieldVisit } from '@/server/field/pack'

export const GET = signedInRoute({ path: z.object({ visitId: VisitId }) }, ({ actor, path }) => fieldVisit(actor, path.visitId))
