import { z } from 'zod'
import { signedInRoute } from '@/server/platform/http/route'
import { dismissFollowUp } from '@/server/equipment/tasks'

export const POST = signedInRoute({ path: z.object({ followUpId: z.uuid() }) }, ({ actor, path }) => dismissFollowUp(actor, path.followUpId))
