import { z } from 'zod'
import { OneOffInput } from '@/domain/equipment'
import { PondId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { addOneOff } from '@/server/use-cases/tasks'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: OneOffInput }, ({ actor, path, body }) => addOneOff(actor, path.pondId, body))
