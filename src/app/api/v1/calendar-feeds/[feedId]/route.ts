import { z } from 'zod'
import { signedInRoute } from '@/server/platform/http/route'
import { endFeed } from '@/server/rounds/calendar-feeds'

export const DELETE = signedInRoute({ path: z.object({ feedId: z.uuid() }) }, ({ actor, path }) =>
  endFeed(actor, path.feedId),
)
