import { z } from 'zod'
import { version } from '@/domain/fields'
import { PondId } from '@/domain/ids'
import { PondInput } from '@/domain/pond'
import { changePond } from '@/server/use-cases/ponds'
import { signedInRoute } from '@/server/http/route'

export const PUT = signedInRoute({ path: z.object({ pondId: PondId }), body: z.strictObject({ version, pond: PondInput }) }, ({ actor, path, body }) =>
  changePond(actor, path.pondId, body.version, body.pond),
)
