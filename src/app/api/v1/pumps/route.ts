import { importPumps } from '@/server/use-cases/prices'
import { readFileText } from '@/server/http/request-body'
import { signedInRoute } from '@/server/http/route'

/** Pump curves; the body is the CSV itself. */
export const POST = signedInRoute({}, async ({ actor, request }) => importPumps(actor, await readFileText(request)))
