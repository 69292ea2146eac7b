import { SendNoticesInput } from '@/domain/messages/notice'
import { signedInRoute } from '@/server/platform/http/route'
import { markNotified } from '@/server/messages/notices'

export const POST = signedInRoute({ body: SendNoticesInput }, ({ actor, body }) => markNotified(actor, body.visits))
