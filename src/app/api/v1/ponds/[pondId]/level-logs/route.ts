import { z } from 'zod'
import { PondId } from '@/domain/ids'
import { LevelLogInput } from '@/domain/level-log'
import { logLevel } from '@/server/use-cases/water-loss'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: LevelLogInput }, ({ actor, path, body }) => logLevel(actor, path.pondId, body))
