import { importPumps } from '@/server/prices/prices'
import { readFileText } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'

/** Pump curves; the body is the CSV itself. */
export const POST = signedInRoute({}, async ({ actor, request }) => importPumps(actor, await readFileText(request)))
