import { z } from 'zod'
import { PondId } from '@/domain/ids'
import { NewPatchInput } from '@/domain/plants'
import { signedInRoute } from '@/server/http/route'
import { addPatch } from '@/server/use-cases/plants/patches'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: NewPatchInput }, ({ actor, path, body }) => addPatch(actor, path.pondId, body))
