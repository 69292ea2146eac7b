import { z } from 'zod'
import { PondId } from '@/domain/ids'
import { RescueInput } from '@/domain/rescue'
import { signedInRoute } from '@/server/http/route'
import { startRescue } from '@/server/use-cases/rescue'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: RescueInput }, ({ actor, path, body }) => startRescue(actor, path.pondId, body))
