import { fileResponse } from '@/server/platform/http/file-response'
import { isPreview, readFileText } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'
import { importServicePlans, servicePlansAsCsv } from '@/server/exchange/service-plan-file'

export const GET = signedInRoute({}, async ({ actor }) =>
  fileResponse(await servicePlansAsCsv(actor), 'text/csv', 'service-plans.csv'),
)
export const POST = signedInRoute({}, async ({ actor, request }) =>
  importServicePlans(actor, await readFileText(request), isPreview(request)),
)
