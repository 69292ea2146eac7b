import { z } from 'zod'
import { UserId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { deactivatePerson } from '@/server/use-cases/people'

export const POST = signedInRoute({ path: z.object({ userId: UserId }) }, ({ actor, path }) => deactivatePerson(actor, path.userId))
