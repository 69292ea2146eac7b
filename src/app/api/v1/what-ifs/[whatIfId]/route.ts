import { z } from 'zod'
import { WhatIfId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { dropWhatIf } from '@/server/use-cases/lab/what-ifs'

export const DELETE = signedInRoute({ path: z.object({ whatIfId: WhatIfId }) }, ({ actor, path }) => dropWhatIf(actor, path.whatIfId))
