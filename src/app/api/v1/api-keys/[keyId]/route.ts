import { z } from 'zod'
import { signedInRoute } from '@/server/platform/http/route'
import { endApiKey } from '@/server/firm/api-keys'

export const DELETE = signedInRoute({ path: z.object({ keyId: z.uuid() }) }, ({ actor, path }) =>
  endApiKey(actor, path.keyId),
)
