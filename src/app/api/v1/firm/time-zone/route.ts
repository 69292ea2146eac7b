import { z } from 'zod'
import { TimeZone } from '@/domain/people'
import { signedInRoute } from '@/server/http/route'
import { setTimeZone } from '@/server/use-cases/firm'

export const PUT = signedInRoute({ body: z.strictObject({ timeZone: TimeZone }) }, ({ actor, body }) => setTimeZone(actor, body.timeZone))
