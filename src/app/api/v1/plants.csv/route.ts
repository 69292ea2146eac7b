import { fileResponse } from '@/server/platform/http/file-response'
import { signedInRoute } from '@/server/platform/http/route'
import { seasonalCsv } from '@/server/plants/all-plants'

export const GET = signedInRoute({}, async ({ actor }) =>
  fileResponse(await seasonalCsv(actor), 'text/csv', 'plants-to-store.csv'),
)
