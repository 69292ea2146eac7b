import { NewPondInput } from '@/domain/customer'
import { addPond } from '@/server/use-cases/ponds'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ body: NewPondInput }, async ({ actor, body }) => ({ id: await addPond(actor, body) }))
