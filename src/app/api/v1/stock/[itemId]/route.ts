import { z } from 'zod'
import { StockItemInput } from '@/domain/stores/stores'
import { signedInRoute } from '@/server/platform/http/route'
import { changeStockItem } from '@/server/stores/stores'

const Body = z.strictObject({ version: z.int().min(1), item: StockItemInput })

export const PUT = signedInRoute({ path: z.object({ itemId: z.uuid() }), body: Body }, ({ actor, path, body }) =>
  changeStockItem(actor, path.itemId, body.version, body.item),
)
