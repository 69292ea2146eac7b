import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { NewPatchInput } from '@/domain/plants/plants'
import { signedInRoute } from '@/server/platform/http/route'
import { addPatch } from '@/server/plants/patches'

export const POST = signedInRoute(
  { path: z.object({ pondId: PondId }), body: NewPatchInput },
  ({ actor, path, body }) => addPatch(actor, path.pondId, body),
)
