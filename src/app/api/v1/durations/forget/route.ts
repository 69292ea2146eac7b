import { z } from 'zod'
import { signedInRoute } from '@/server/platform/http/route'
import { forgetDurations } from '@/server/visits/durations'

export const POST = signedInRoute({ body: z.strictObject({ job: z.string().max(40) }) }, ({ actor, body }) =>
  forgetDurations(actor, body.job),
)
