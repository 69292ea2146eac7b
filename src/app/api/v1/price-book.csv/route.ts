import { priceCsv } from '@/domain/prices/price-csv'
import { fileResponse } from '@/server/platform/http/file-response'
import { importPrices, priceBook } from '@/server/prices/prices'
import { readFileText } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'

export const GET = signedInRoute({}, async ({ actor }) => {
  const { book } = await priceBook(actor)
  return fileResponse(priceCsv(book), 'text/csv', 'price-book.csv')
})

/** The body is the CSV itself. */
export const POST = signedInRoute({}, async ({ actor, request }) => importPrices(actor, await readFileText(request)))
