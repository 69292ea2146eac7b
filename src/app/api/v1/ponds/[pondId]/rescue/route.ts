import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { RescueInput } from '@/domain/visits/rescue'
import { signedInRoute } from '@/server/platform/http/route'
import { startRescue } from '@/server/visits/rescue'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: RescueInput }, ({ actor, path, body }) =>
  startRescue(actor, path.pondId, body),
)
