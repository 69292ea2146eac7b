import { z } from 'zod'
import { TakeoverId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { undoTakeover } from '@/server/use-cases/planning/undo'

export const DELETE = signedInRoute({ path: z.object({ takeoverId: TakeoverId }) }, ({ actor, path }) => undoTakeover(actor, path.takeoverId))
