import { z } from 'zod'
import { DesignDraft } from '@/domain/design/design-draft'
import { PondId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { discardDraft, storeDraft } from '@/server/design/designs'

const path = z.object({ pondId: PondId })

export const PUT = signedInRoute({ path, body: DesignDraft }, ({ actor, path, body }) =>
  storeDraft(actor, path.pondId, body),
)
export const DELETE = signedInRoute({ path }, ({ actor, path }) => discardDraft(actor, path.pondId))
