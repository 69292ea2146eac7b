import { z } from 'zod'
import { UserId } from '@/domain/shared/ids'
import { ChangePersonInput } from '@/domain/people/people'
import { signedInRoute } from '@/server/platform/http/route'
import { changePerson } from '@/server/people/people'

export const PUT = signedInRoute(
  { path: z.object({ userId: UserId }), body: ChangePersonInput },
  ({ actor, path, body }) => changePerson(actor, path.userId, body),
)
