import { priceCsv } from '@/domain/price-csv'
import { importPrices, priceBook } from '@/server/use-cases/prices'
import { JSON_LIMIT_BYTES, readLimited } from '@/server/http/request-body'
import { signedInRoute } from '@/server/http/route'

export const GET = signedInRoute({}, async ({ actor }) => {
  const { book } = await priceBook(actor)
  return new Response(priceCsv(book), {
    headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': 'attachment; filename="price-book.csv"', 'cache-control': 'no-store' },
  })
})

/** The body is the CSV itself. */
export const POST = signedInRoute({}, async ({ actor, request }) => importPrices(actor, (await readLimited(request, JSON_LIMIT_BYTES)).toString('utf8')))
