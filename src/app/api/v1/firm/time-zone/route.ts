import { z } from 'zod'
import { TimeZone } from '@/domain/people/people'
import { signedInRoute } from '@/server/platform/http/route'
import { setTimeZone } from '@/server/firm/firm'

export const PUT = signedInRoute({ body: z.strictObject({ timeZone: TimeZone }) }, ({ actor, body }) =>
  setTimeZone(actor, body.timeZone),
)
