import { PlanVisitInput } from '@/domain/visit'
import { planVisit } from '@/server/use-cases/visit-planning'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ body: PlanVisitInput }, async ({ actor, body }) => ({ id: await planVisit(actor, body) }))
