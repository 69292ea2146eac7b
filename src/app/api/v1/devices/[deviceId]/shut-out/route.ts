import { z } from 'zod'
import { signedInRoute } from '@/server/http/route'
import { shutOutDevice } from '@/server/use-cases/firm'

export const POST = signedInRoute({ path: z.object({ deviceId: z.uuid() }) }, ({ actor, path }) => shutOutDevice(actor, path.deviceId))
