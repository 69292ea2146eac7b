import { z } from 'zod'
import { PondId } from '@/domain/ids'
import { LogReadingsInput } from '@/domain/visit'
import { logReadings } from '@/server/use-cases/readings'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: LogReadingsInput }, ({ actor, path, body }) =>
  logReadings(actor, path.pondId, body),
)
