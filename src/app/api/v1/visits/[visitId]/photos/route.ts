import { z } from 'zod'
import { VisitId } from '@/domain/ids'
import { addPhoto, PHOTO_LIMIT } from '@/server/use-cases/photos'
import { readLimited } from '@/server/http/request-body'
import { signedInRoute } from '@/server/http/route'

/** The body is the picture itself; the step is named in the address. */
export const POST = signedInRoute({ path: z.object({ visitId: VisitId }) }, async ({ actor, path, request }) => {
  const stepKey = new URL(request.url).searchParams.get('step') ?? ''
  return addPhoto(actor, path.visitId, stepKey, await readLimited(request, PHOTO_LIMIT.bytes))
})
