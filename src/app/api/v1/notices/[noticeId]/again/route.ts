import { z } from 'zod'
import { signedInRoute } from '@/server/http/route'
import { sendAgain } from '@/server/use-cases/notices'

export const POST = signedInRoute({ path: z.object({ noticeId: z.uuid() }) }, ({ actor, path }) => sendAgain(actor, path.noticeId))
