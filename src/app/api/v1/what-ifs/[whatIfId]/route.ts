import { z } from 'zod'
import { WhatIfId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { dropWhatIf } from '@/server/forecasts/what-ifs'

export const DELETE = signedInRoute({ path: z.object({ whatIfId: WhatIfId }) }, ({ actor, path }) =>
  dropWhatIf(actor, path.whatIfId),
)
