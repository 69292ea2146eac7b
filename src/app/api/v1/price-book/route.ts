import { z } from 'zod'
import { PriceBookInput } from '@/domain/pricing'
import { setPriceBook } from '@/server/use-cases/prices'
import { signedInRoute } from '@/server/http/route'

export const PUT = signedInRoute({ body: z.strictObject({ version: z.int().min(0), book: PriceBookInput }) }, ({ actor, body }) =>
  setPriceBook(actor, body.version, body.book),
)
