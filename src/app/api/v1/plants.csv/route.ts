import { fileResponse } from '@/server/http/file-response'
import { signedInRoute } from '@/server/http/route'
import { seasonalCsv } from '@/server/use-cases/plants/all-plants'

export const GET = signedInRoute({}, async ({ actor }) => fileResponse(await seasonalCsv(actor), 'text/csv', 'plants-to-store.csv'))
