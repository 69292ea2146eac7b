import { z } from 'zod'
import { TakeoverId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { undoTakeover } from '@/server/schedule/undo'

export const DELETE = signedInRoute({ path: z.object({ takeoverId: TakeoverId }) }, ({ actor, path }) =>
  undoTakeover(actor, path.takeoverId),
)
