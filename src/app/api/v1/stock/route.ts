import { StockItemInput } from '@/domain/stores/stores'
import { signedInRoute } from '@/server/platform/http/route'
import { addStockItem } from '@/server/stores/stores'

export const POST = signedInRoute({ body: StockItemInput }, ({ actor, body }) => addStockItem(actor, body))
