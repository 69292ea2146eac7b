import { z } from 'zod'
import { ProductBook } from '@/domain/product-book'
import { signedInRoute } from '@/server/http/route'
import { setProducts } from '@/server/use-cases/products'

export const PUT = signedInRoute({ body: z.strictObject({ version: z.int().min(0), products: ProductBook }) }, ({ actor, body }) =>
  setProducts(actor, body.version, body.products),
)
