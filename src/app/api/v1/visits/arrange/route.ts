import { ArrangeInput } from '@/domain/visits/visit'
import { signedInRoute } from '@/server/platform/http/route'
import { arrangeVisits } from '@/server/visits/visit-planning'

export const PUT = signedInRoute({ body: ArrangeInput }, ({ actor, body }) => arrangeVisits(actor, body.moves))
