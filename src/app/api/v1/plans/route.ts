import { PlanWish } from '@/domain/plan-run'
import { signedInRoute } from '@/server/http/route'
import { askPlan } from '@/server/use-cases/planning/runs'

export const POST = signedInRoute({ body: PlanWish }, ({ actor, body }) => askPlan(actor, body))
