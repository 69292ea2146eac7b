import { z } from 'zod'
import { UserId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { reactivatePerson } from '@/server/use-cases/people'

export const POST = signedInRoute({ path: z.object({ userId: UserId }) }, ({ actor, path }) => reactivatePerson(actor, path.userId))
