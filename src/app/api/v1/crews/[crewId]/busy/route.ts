import { z } from 'zod'
import { storableText } from '@/domain/shared/clean-text'
import { CrewId } from '@/domain/shared/ids'
import { readFileText } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'
import { forgetBusy, importBusy } from '@/server/exchange/busy-file'

const path = z.object({ crewId: CrewId })

/** The body is the .ics itself; ?source names the calendar. */
export const POST = signedInRoute({ path }, async ({ actor, path, request }) =>
  importBusy(
    actor,
    path.crewId,
    storableText(new URL(request.url).searchParams.get('source') ?? ''),
    await readFileText(request),
  ),
)
export const DELETE = signedInRoute(
  { path, body: z.strictObject({ source: z.string().max(80) }) },
  ({ actor, path, body }) => forgetBusy(actor, path.crewId, body.source),
)
