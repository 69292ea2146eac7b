import { z } from 'zod'
import { signedInRoute } from '@/server/http/route'
import { settle } from '@/server/use-cases/tasks'

export const POST = signedInRoute({ path: z.object({ findingId: z.uuid() }) }, ({ actor, path }) => settle(actor, path.findingId))
