import { z } from 'zod'
import { signedInRoute } from '@/server/http/route'
import { dismissFollowUp } from '@/server/use-cases/tasks'

export const POST = signedInRoute({ path: z.object({ followUpId: z.uuid() }) }, ({ actor, path }) => dismissFollowUp(actor, path.followUpId))
