import { z } from 'zod'
import { version } from '@/domain/shared/fields'
import { PondId } from '@/domain/shared/ids'
import { OwnRules } from '@/domain/house-rules/house-rules'
import { signedInRoute } from '@/server/platform/http/route'
import { setPondRules } from '@/server/ponds/ponds'

export const PUT = signedInRoute(
  { path: z.object({ pondId: PondId }), body: z.strictObject({ version, own: OwnRules }) },
  ({ actor, path, body }) => setPondRules(actor, path.pondId, body.version, body.own),
)
