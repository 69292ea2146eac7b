import { z } from 'zod'
import { dropPump } from '@/server/use-cases/prices'
import { signedInRoute } from '@/server/http/route'

export const DELETE = signedInRoute({ path: z.object({ pumpId: z.string().max(80) }) }, ({ actor, path }) => dropPump(actor, decodeURIComponent(path.pumpId)))
