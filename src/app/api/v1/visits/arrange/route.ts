import { ArrangeInput } from '@/domain/visit'
import { signedInRoute } from '@/server/http/route'
import { arrangeVisits } from '@/server/use-cases/visit-planning'

export const PUT = signedInRoute({ body: ArrangeInput }, ({ actor, body }) => arrangeVisits(actor, body.moves))
