import { z } from 'zod'
import { VisitId } from '@/domain/ids'
import { clockTime } from '@/domain/visit'
import { signedInRoute } from '@/server/http/route'
import { tellArrival } from '@/server/use-cases/notices'

const body = z.strictObject({ kind: z.enum(['on-the-way', 'running-late']), time: clockTime })

export const POST = signedInRoute({ path: z.object({ visitId: VisitId }), body }, ({ actor, path, body }) =>
  tellArrival(actor, path.visitId, body.kind, body.time),
)
