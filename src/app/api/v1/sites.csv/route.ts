import { fileResponse } from '@/server/http/file-response'
import { isPreview, readFileText } from '@/server/http/request-body'
import { signedInRoute } from '@/server/http/route'
import { importSites, sitesAsCsv } from '@/server/use-cases/exchange/sites'

export const GET = signedInRoute({}, async ({ actor }) => fileResponse(await sitesAsCsv(actor), 'text/csv', 'sites.csv'))
export const POST = signedInRoute({}, async ({ actor, request }) => importSites(actor, 'csv', await readFileText(request), isPreview(request)))
