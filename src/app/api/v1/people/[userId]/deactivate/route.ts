import { z } from 'zod'
import { UserId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { deactivatePerson } from '@/server/people/people'

export const POST = signedInRoute({ path: z.object({ userId: UserId }) }, ({ actor, path }) =>
  deactivatePerson(actor, path.userId),
)
