import { z } from 'zod'
import { VisitId } from '@/domain/ids'
import { EntryInput } from '@/domain/visit'
import { logEntry } from '@/server/use-cases/field'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ path: z.object({ visitId: VisitId }), body: EntryInput }, ({ actor, path, body }) => logEntry(actor, path.visitId, body))
