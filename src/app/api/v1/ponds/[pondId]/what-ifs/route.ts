import { z } from 'zod'
import { PondId } from '@/domain/ids'
import { WhatIfInput } from '@/domain/what-if'
import { signedInRoute } from '@/server/http/route'
import { saveWhatIf } from '@/server/use-cases/lab/what-ifs'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: WhatIfInput }, ({ actor, path, body }) => saveWhatIf(actor, path.pondId, body))
