import { SendNoticesInput } from '@/domain/notice'
import { signedInRoute } from '@/server/http/route'
import { markTold } from '@/server/use-cases/notices'

export const POST = signedInRoute({ body: SendNoticesInput }, ({ actor, body }) => markTold(actor, body.visits))
