import { z } from 'zod'
import { DesignInput } from '@/domain/design'
import { PondId } from '@/domain/ids'
import { saveDesign } from '@/server/use-cases/designs'
import { signedInRoute } from '@/server/http/route'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: DesignInput }, ({ actor, path, body }) => saveDesign(actor, path.pondId, body))
