import { PlanWish } from '@/domain/schedule/plan-run'
import { signedInRoute } from '@/server/platform/http/route'
import { askPlan } from '@/server/schedule/runs'

export const POST = signedInRoute({ body: PlanWish }, ({ actor, body }) => askPlan(actor, body))
