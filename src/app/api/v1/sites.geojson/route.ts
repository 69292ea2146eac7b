import { fileResponse } from '@/server/platform/http/file-response'
import { isPreview, readFileText } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'
import { importSites, sitesAsGeoJson } from '@/server/exchange/sites'

export const GET = signedInRoute({}, async ({ actor }) =>
  fileResponse(JSON.stringify(await sitesAsGeoJson(actor), null, 1), 'application/geo+json', 'sites.geojson'),
)
export const POST = signedInRoute({}, async ({ actor, request }) =>
  importSites(actor, 'geojson', await readFileText(request), isPreview(request)),
)
