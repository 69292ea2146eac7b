import { z } from 'zod'
import { FollowUpId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { bringBackFollowUp } from '@/server/equipment/tasks'

export const POST = signedInRoute({ path: z.object({ followUpId: FollowUpId }) }, ({ actor, path }) =>
  bringBackFollowUp(actor, path.followUpId),
)
