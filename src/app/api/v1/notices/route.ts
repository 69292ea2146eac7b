import { SendNoticesInput } from '@/domain/notice'
import { publicUrl } from '@/server/http/public-url'
import { signedInRoute } from '@/server/http/route'
import { tellCustomers } from '@/server/use-cases/notices'

export const POST = signedInRoute({ body: SendNoticesInput }, ({ actor, body }) => tellCustomers(actor, body.visits, publicUrl()))
