import { z } from 'zod'
import { FollowUpId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { dismissFollowUp } from '@/server/equipment/tasks'

export const POST = signedInRoute({ path: z.object({ followUpId: FollowUpId }) }, ({ actor, path }) =>
  dismissFollowUp(actor, path.followUpId),
)
