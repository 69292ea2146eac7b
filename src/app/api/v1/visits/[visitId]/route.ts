import { z } from 'zod'
import { version } from '@/domain/shared/fields'
import { VisitId } from '@/domain/shared/ids'
import { MoveVisitInput } from '@/domain/visits/visit'
import { cancelVisit } from '@/server/visits/visit-cancelling'
import { moveVisit } from '@/server/visits/visit-planning'
import { signedInRoute } from '@/server/platform/http/route'

const path = z.object({ visitId: VisitId })

export const PUT = signedInRoute({ path, body: MoveVisitInput }, ({ actor, path, body }) =>
  moveVisit(actor, path.visitId, body),
)
export const DELETE = signedInRoute({ path, body: z.strictObject({ version }) }, ({ actor, path, body }) =>
  cancelVisit(actor, path.visitId, body.version),
)
