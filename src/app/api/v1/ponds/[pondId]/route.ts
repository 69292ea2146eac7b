import { z } from 'zod'
import { version } from '@/domain/shared/fields'
import { PondId } from '@/domain/shared/ids'
import { PondInput } from '@/domain/ponds/pond'
import { changePond } from '@/server/ponds/ponds'
import { signedInRoute } from '@/server/platform/http/route'

export const PUT = signedInRoute(
  { path: z.object({ pondId: PondId }), body: z.strictObject({ version, pond: PondInput }) },
  ({ actor, path, body }) => changePond(actor, path.pondId, body.version, body.pond),
)
