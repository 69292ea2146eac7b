import { importPumps } from '@/server/use-cases/prices'
import { JSON_LIMIT_BYTES, readLimited } from '@/server/http/request-body'
import { signedInRoute } from '@/server/http/route'

/** Pump curves; the body is the CSV itself. */
export const POST = signedInRoute({}, async ({ actor, request }) => importPumps(actor, (await readLimited(request, JSON_LIMIT_BYTES)).toString('utf8')))
