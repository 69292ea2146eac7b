import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { LevelLogInput } from '@/domain/survey/level-log'
import { logLevel } from '@/server/survey/water-loss'
import { signedInRoute } from '@/server/platform/http/route'

export const POST = signedInRoute(
  { path: z.object({ pondId: PondId }), body: LevelLogInput },
  ({ actor, path, body }) => logLevel(actor, path.pondId, body),
)
