import { SendNoticesInput } from '@/domain/messages/notice'
import { publicUrl } from '@/server/platform/http/public-url'
import { signedInRoute } from '@/server/platform/http/route'
import { tellCustomers } from '@/server/messages/notices'

export const POST = signedInRoute({ body: SendNoticesInput }, ({ actor, body }) =>
  tellCustomers(actor, body.visits, publicUrl()),
)
