import { z } from 'zod'
import { DesignInput } from '@/domain/design/design'
import { PondId } from '@/domain/shared/ids'
import { saveDesign } from '@/server/design/designs'
import { signedInRoute } from '@/server/platform/http/route'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: DesignInput }, ({ actor, path, body }) =>
  saveDesign(actor, path.pondId, body),
)
