import { fileResponse } from '@/server/platform/http/file-response'
import { readFileText } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'
import { exportProducts, importProducts } from '@/server/stores/products'

export const GET = signedInRoute({}, async ({ actor }) =>
  fileResponse(await exportProducts(actor), 'text/csv', 'products.csv'),
)

/** The body is the CSV itself. */
export const POST = signedInRoute({}, async ({ actor, request }) => importProducts(actor, await readFileText(request)))
