import { CrewInput } from '@/domain/people/people'
import { addCrew } from '@/server/firm/firm'
import { signedInRoute } from '@/server/platform/http/route'

export const POST = signedInRoute({ body: CrewInput }, async ({ actor, body }) => ({
  id: await addCrew(actor, body.name),
}))
