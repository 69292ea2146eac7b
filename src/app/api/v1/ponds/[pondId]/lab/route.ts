import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { whatIfBench } from '@/server/forecasts/what-ifs'

export const GET = signedInRoute({ path: z.object({ pondId: PondId }) }, ({ actor, path }) => whatIfBench(actor, path.pondId))
