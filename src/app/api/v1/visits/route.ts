import { PlanVisitInput } from '@/domain/visits/visit'
import { planVisit } from '@/server/visits/visit-planning'
import { signedInRoute } from '@/server/platform/http/route'

export const POST = signedInRoute({ body: PlanVisitInput }, async ({ actor, body }) => ({
  id: await planVisit(actor, body),
}))
