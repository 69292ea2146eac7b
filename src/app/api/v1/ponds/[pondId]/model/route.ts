import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { whatIfPage } from '@/server/forecasts/what-ifs'

export const GET = signedInRoute({ path: z.object({ pondId: PondId }) }, ({ actor, path }) =>
  whatIfPage(actor, path.pondId),
)
