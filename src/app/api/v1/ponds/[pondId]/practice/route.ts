import { z } from 'zod'
import { version } from '@/domain/shared/fields'
import { PondId } from '@/domain/shared/ids'
import { OwnPractice } from '@/domain/house-rules/house-rules'
import { signedInRoute } from '@/server/platform/http/route'
import { setPondPractice } from '@/server/ponds/ponds'

export const PUT = signedInRoute({ path: z.object({ pondId: PondId }), body: z.strictObject({ version, own: OwnPractice }) }, ({ actor, path, body }) =>
  setPondPractice(actor, path.pondId, body.version, body.own),
)
