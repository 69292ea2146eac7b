import { z } from 'zod'
import { CrewSetup } from '@/domain/people/crew-setup'
import { version } from '@/domain/shared/fields'
import { CrewId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { setCrewSetup } from '@/server/firm/firm'

export const PUT = signedInRoute(
  { path: z.object({ crewId: CrewId }), body: z.strictObject({ version, setup: CrewSetup }) },
  ({ actor, path, body }) => setCrewSetup(actor, path.crewId, body.version, body.setup),
)
