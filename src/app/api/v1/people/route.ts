import { PersonInput } from '@/domain/people/people'
import { addPerson } from '@/server/firm/firm'
import { signedInRoute } from '@/server/platform/http/route'

export const POST = signedInRoute({ body: PersonInput }, async ({ actor, body }) => ({
  id: await addPerson(actor, body),
}))
