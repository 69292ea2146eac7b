import { z } from 'zod'
import { PriceBookInput } from '@/domain/prices/pricing'
import { setPriceBook } from '@/server/prices/prices'
import { signedInRoute } from '@/server/platform/http/route'

export const PUT = signedInRoute(
  { body: z.strictObject({ version: z.int().min(0), book: PriceBookInput }) },
  ({ actor, body }) => setPriceBook(actor, body.version, body.book),
)
