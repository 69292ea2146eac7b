import { fileResponse } from '@/server/http/file-response'
import { readFileText } from '@/server/http/request-body'
import { signedInRoute } from '@/server/http/route'
import { exportProducts, importProducts } from '@/server/use-cases/products'

export const GET = signedInRoute({}, async ({ actor }) => fileResponse(await exportProducts(actor), 'text/csv', 'products.csv'))

/** The body is the CSV itself. */
export const POST = signedInRoute({}, async ({ actor, request }) => importProducts(actor, await readFileText(request)))
