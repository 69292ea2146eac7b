import { z } from 'zod'
import { UserId } from '@/domain/ids'
import { ChangePersonInput } from '@/domain/people'
import { signedInRoute } from '@/server/http/route'
import { changePerson } from '@/server/use-cases/people'

export const PUT = signedInRoute({ path: z.object({ userId: UserId }), body: ChangePersonInput }, ({ actor, path, body }) =>
  changePerson(actor, path.userId, body),
)
