import { z } from 'zod'
import { VisitId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { whyVisit } from '@/server/use-cases/planning/why-visit'

export const GET = signedInRoute({ path: z.object({ visitId: VisitId }) }, ({ actor, path }) => whyVisit(actor, path.visitId))
