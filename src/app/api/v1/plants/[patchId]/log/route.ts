import { z } from 'zod'
import { LogPlantInput } from '@/domain/plants'
import { signedInRoute } from '@/server/http/route'
import { logPlant } from '@/server/use-cases/plants/patches'

export const POST = signedInRoute({ path: z.object({ patchId: z.uuid() }), body: LogPlantInput }, ({ actor, path, body }) =>
  logPlant(actor, path.patchId, body),
)
