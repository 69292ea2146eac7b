import { fileResponse } from '@/server/http/file-response'
import { JSON_LIMIT_BYTES, readLimited } from '@/server/http/request-body'
import { signedInRoute } from '@/server/http/route'
import { exportProducts, importProducts } from '@/server/use-cases/products'

export const GET = signedInRoute({}, async ({ actor }) => fileResponse(await exportProducts(actor), 'text/csv', 'products.csv'))

/** The body is the CSV itself. */
export const POST = signedInRoute({}, async ({ actor, request }) => importProducts(actor, (await readLimited(request, JSON_LIMIT_BYTES)).toString('utf8')))
