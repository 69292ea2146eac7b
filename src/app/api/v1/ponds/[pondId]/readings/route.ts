import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { LogReadingsInput } from '@/domain/visits/visit'
import { logReadings } from '@/server/water/readings'
import { signedInRoute } from '@/server/platform/http/route'

export const POST = signedInRoute(
  { path: z.object({ pondId: PondId }), body: LogReadingsInput },
  ({ actor, path, body }) => logReadings(actor, path.pondId, body),
)
