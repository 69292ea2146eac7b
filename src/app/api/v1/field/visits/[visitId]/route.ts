import { z } from 'zod'
import { VisitId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { fieldVisit } from '@/server/field/pack'
import { refusalOfOtherPage } from '@/server/field/pack-format'

export const GET = signedInRoute(
  { path: z.object({ visitId: VisitId }) },
  async ({ actor, path, request }) => refusalOfOtherPage(request) ?? fieldVisit(actor, path.visitId),
)
