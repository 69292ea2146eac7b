import { z } from 'zod'
import { PhotoId, VisitId } from '@/domain/shared/ids'
import { addPhoto, PHOTO_LIMIT } from '@/server/visits/photos'
import { readLimited } from '@/server/platform/http/request-body'
import { signedInRoute } from '@/server/platform/http/route'
import { said } from '@/domain/shared/said'

const Facts = z.object({
  step: z.string({ error: said('visits.problems.photoStep') }).max(60),
  at: z.iso.datetime({ offset: true, error: said('visits.problems.photoTime') }),
  pairOf: PhotoId.nullable().default(null),
  sketchOf: PhotoId.nullable().default(null),
})

/** The body is the picture itself; what belongs to it stands in the address. Sent twice, it is kept once. */
export const PUT = signedInRoute(
  { path: z.object({ visitId: VisitId, photoId: PhotoId }) },
  async ({ actor, path, request }) => {
    const { step, at, pairOf, sketchOf } = Facts.parse(Object.fromEntries(new URL(request.url).searchParams))
    const facts = { id: path.photoId, stepKey: step, takenAt: at, pairOf, sketchOf }
    return addPhoto(actor, path.visitId, facts, await readLimited(request, PHOTO_LIMIT.bytes))
  },
)
