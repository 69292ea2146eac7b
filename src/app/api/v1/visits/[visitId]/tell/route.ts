import { z } from 'zod'
import { VisitId } from '@/domain/shared/ids'
import { clockTime } from '@/domain/visits/visit'
import { signedInRoute } from '@/server/platform/http/route'
import { tellArrival } from '@/server/messages/notices'

const body = z.strictObject({ kind: z.enum(['on-the-way', 'running-late']), time: clockTime })

export const POST = signedInRoute({ path: z.object({ visitId: VisitId }), body }, ({ actor, path, body }) =>
  tellArrival(actor, path.visitId, body.kind, body.time),
)
