import { z } from 'zod'
import { version } from '@/domain/fields'
import { PondId } from '@/domain/ids'
import { OwnPractice } from '@/domain/practice'
import { signedInRoute } from '@/server/http/route'
import { setPondPractice } from '@/server/use-cases/ponds'

export const PUT = signedInRoute({ path: z.object({ pondId: PondId }), body: z.strictObject({ version, own: OwnPractice }) }, ({ actor, path, body }) =>
  setPondPractice(actor, path.pondId, body.version, body.own),
)
