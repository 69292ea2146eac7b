import { SendNoticesInput } from '@/domain/messages/notice'
import { signedInRoute } from '@/server/platform/http/route'
import { markTold } from '@/server/messages/notices'

export const POST = signedInRoute({ body: SendNoticesInput }, ({ actor, body }) => markTold(actor, body.visits))
