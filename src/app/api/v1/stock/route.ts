import { StockItemInput } from '@/domain/stores'
import { signedInRoute } from '@/server/http/route'
import { addStockItem } from '@/server/use-cases/stores'

export const POST = signedInRoute({ body: StockItemInput }, ({ actor, body }) => addStockItem(actor, body))
