import { z } from 'zod'
import { version } from '@/domain/shared/fields'
import { PatchInput } from '@/domain/plants/plants'
import { signedInRoute } from '@/server/platform/http/route'
import { changePatch, removePatch } from '@/server/plants/patches'

const path = z.object({ patchId: z.uuid() })

export const PUT = signedInRoute(
  { path, body: z.strictObject({ version, patch: PatchInput }) },
  ({ actor, path, body }) => changePatch(actor, path.patchId, body.version, body.patch),
)

export const DELETE = signedInRoute({ path }, ({ actor, path }) => removePatch(actor, path.patchId))
