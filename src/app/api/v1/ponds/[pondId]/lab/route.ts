import { z } from 'zod'
import { PondId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { whatIfBench } from '@/server/use-cases/lab/what-ifs'

export const GET = signedInRoute({ path: z.object({ pondId: PondId }) }, ({ actor, path }) => whatIfBench(actor, path.pondId))
