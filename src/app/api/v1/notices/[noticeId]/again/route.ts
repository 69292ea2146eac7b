import { z } from 'zod'
import { signedInRoute } from '@/server/platform/http/route'
import { sendAgain } from '@/server/messages/notices'

export const POST = signedInRoute({ path: z.object({ noticeId: z.uuid() }) }, ({ actor, path }) =>
  sendAgain(actor, path.noticeId),
)
