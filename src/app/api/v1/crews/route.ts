import { CrewInput } from '@/domain/people'
import { addCrew } from '@/server/use-cases/firm'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ body: CrewInput }, async ({ actor, body }) => ({ id: await addCrew(actor, body.name) }))
