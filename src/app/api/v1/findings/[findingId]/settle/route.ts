import { z } from 'zod'
import { signedInRoute } from '@/server/platform/http/route'
import { settle } from '@/server/equipment/tasks'

export const POST = signedInRoute({ path: z.object({ findingId: z.uuid() }) }, ({ actor, path }) =>
  settle(actor, path.findingId),
)
