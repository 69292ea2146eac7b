import { z } from 'zod'
import { PondId } from '@/domain/shared/ids'
import { WhatIfInput } from '@/domain/forecasts/what-if'
import { signedInRoute } from '@/server/platform/http/route'
import { saveWhatIf } from '@/server/forecasts/what-ifs'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: WhatIfInput }, ({ actor, path, body }) =>
  saveWhatIf(actor, path.pondId, body),
)
