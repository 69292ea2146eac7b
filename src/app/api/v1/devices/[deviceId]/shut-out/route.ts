import { z } from 'zod'
import { signedInRoute } from '@/server/platform/http/route'
import { shutOutDevice } from '@/server/firm/firm'

export const POST = signedInRoute({ path: z.object({ deviceId: z.uuid() }) }, ({ actor, path }) =>
  shutOutDevice(actor, path.deviceId),
)
