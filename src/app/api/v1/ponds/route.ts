import { NewPondInput } from '@/domain/customers/customer'
import { addPond } from '@/server/ponds/ponds'
import { signedInRoute } from '@/server/platform/http/route'

export const POST = signedInRoute({ body: NewPondInput }, async ({ actor, body }) => ({
  id: await addPond(actor, body),
}))
