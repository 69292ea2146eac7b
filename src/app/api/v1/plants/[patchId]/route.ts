import { z } from 'zod'
import { version } from '@/domain/fields'
import { PatchInput } from '@/domain/plants'
import { signedInRoute } from '@/server/http/route'
import { changePatch, removePatch } from '@/server/use-cases/plants/patches'

const path = z.object({ patchId: z.uuid() })

export const PUT = signedInRoute({ path, body: z.strictObject({ version, patch: PatchInput }) }, ({ actor, path, body }) =>
  changePatch(actor, path.patchId, body.version, body.patch),
)

export const DELETE = signedInRoute({ path }, ({ actor, path }) => removePatch(actor, path.patchId))
