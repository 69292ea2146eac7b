import { z } from 'zod'
import { ProductBook } from '@/domain/stores/product-book'
import { signedInRoute } from '@/server/platform/http/route'
import { setProducts } from '@/server/stores/products'

export const PUT = signedInRoute(
  { body: z.strictObject({ version: z.int().min(0), products: ProductBook }) },
  ({ actor, body }) => setProducts(actor, body.version, body.products),
)
