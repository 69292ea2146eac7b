import { z } from 'zod'
import { OneOffInput } from '@/domain/equipment/equipment'
import { PondId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { addOneOff } from '@/server/equipment/tasks'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: OneOffInput }, ({ actor, path, body }) =>
  addOneOff(actor, path.pondId, body),
)
