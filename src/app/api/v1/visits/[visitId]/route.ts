import { z } from 'zod'
import { version } from '@/domain/fields'
import { VisitId } from '@/domain/ids'
import { MoveVisitInput } from '@/domain/visit'
import { cancelVisit, moveVisit } from '@/server/use-cases/visit-planning'
import { signedInRoute } from '@/server/http/route'

const path = z.object({ visitId: VisitId })

export const PUT = signedInRoute({ path, body: MoveVisitInput }, ({ actor, path, body }) => moveVisit(actor, path.visitId, body))
export const DELETE = signedInRoute({ path, body: z.strictObject({ version }) }, ({ actor, path, body }) => cancelVisit(actor, path.visitId, body.version))
