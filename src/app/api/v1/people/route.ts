import { PersonInput } from '@/domain/people'
import { addPerson } from '@/server/use-cases/firm'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ body: PersonInput }, async ({ actor, body }) => ({ id: await addPerson(actor, body) }))
