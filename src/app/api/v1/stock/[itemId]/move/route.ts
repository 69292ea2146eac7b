import { z } from 'zod'
import { StockMoveInput } from '@/domain/stores/stores'
import { signedInRoute } from '@/server/platform/http/route'
import { moveStock } from '@/server/stores/stores'

export const POST = signedInRoute(
  { path: z.object({ itemId: z.uuid() }), body: StockMoveInput },
  ({ actor, path, body }) => moveStock(actor, path.itemId, body),
)
