import { z } from 'zod'
import { OwnConstants } from '@/domain/house-rules/house-constants'
import { version } from '@/domain/shared/fields'
import { PondId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { setPondConstants } from '@/server/ponds/ponds'

export const PUT = signedInRoute(
  { path: z.object({ pondId: PondId }), body: z.strictObject({ version, own: OwnConstants }) },
  ({ actor, path, body }) => setPondConstants(actor, path.pondId, body.version, body.own),
)
