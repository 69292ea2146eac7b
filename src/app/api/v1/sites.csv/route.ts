import { fileResponse } from '@/server/platform/http/file-response'
import { isPreview, readFileText } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'
import { importSites, sitesAsCsv } from '@/server/exchange/sites'

export const GET = signedInRoute({}, async ({ actor }) =>
  fileResponse(await sitesAsCsv(actor), 'text/csv', 'sites.csv'),
)
export const POST = signedInRoute({}, async ({ actor, request }) =>
  importSites(actor, 'csv', await readFileText(request), isPreview(request)),
)
