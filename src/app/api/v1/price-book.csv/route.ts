import { priceCsv } from '@/domain/price-csv'
import { fileResponse } from '@/server/http/file-response'
import { importPrices, priceBook } from '@/server/use-cases/prices'
import { readFileText } from '@/server/http/request-body'
import { signedInRoute } from '@/server/http/route'

export const GET = signedInRoute({}, async ({ actor }) => {
  const { book } = await priceBook(actor)
  return fileResponse(priceCsv(book), 'text/csv', 'price-book.csv')
})

/** The body is the CSV itself. */
export const POST = signedInRoute({}, async ({ actor, request }) => importPrices(actor, await readFileText(request)))
