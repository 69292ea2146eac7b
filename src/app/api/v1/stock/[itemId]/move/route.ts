import { z } from 'zod'
import { StockMoveInput } from '@/domain/stores'
import { signedInRoute } from '@/server/http/route'
import { moveStock } from '@/server/use-cases/stores'

export const POST = signedInRoute({ path: z.object({ itemId: z.uuid() }), body: StockMoveInput }, ({ actor, path, body }) =>
  moveStock(actor, path.itemId, body),
)
