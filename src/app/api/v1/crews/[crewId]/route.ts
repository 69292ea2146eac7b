import { z } from 'zod'
import { CrewSetup } from '@/domain/crew-setup'
import { version } from '@/domain/fields'
import { CrewId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { setCrewSetup } from '@/server/use-cases/firm'

export const PUT = signedInRoute({ path: z.object({ crewId: CrewId }), body: z.strictObject({ version, setup: CrewSetup }) }, ({ actor, path, body }) =>
  setCrewSetup(actor, path.crewId, body.version, body.setup),
)
