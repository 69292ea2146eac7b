import { z } from 'zod'
import { LogPlantInput } from '@/domain/plants/plants'
import { signedInRoute } from '@/server/platform/http/route'
import { logPlant } from '@/server/plants/patches'

export const POST = signedInRoute(
  { path: z.object({ patchId: z.uuid() }), body: LogPlantInput },
  ({ actor, path, body }) => logPlant(actor, path.patchId, body),
)
