import { z } from 'zod'
import { signedInRoute } from '@/server/http/route'
import { endFeed } from '@/server/use-cases/calendar-feeds'

export const DELETE = signedInRoute({ path: z.object({ feedId: z.uuid() }) }, ({ actor, path }) => endFeed(actor, path.feedId))
