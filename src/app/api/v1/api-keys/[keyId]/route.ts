import { z } from 'zod'
import { signedInRoute } from '@/server/http/route'
import { endApiKey } from '@/server/use-cases/api-keys'

export const DELETE = signedInRoute({ path: z.object({ keyId: z.uuid() }) }, ({ actor, path }) => endApiKey(actor, path.keyId))
