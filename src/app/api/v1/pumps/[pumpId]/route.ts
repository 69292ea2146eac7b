import { z } from 'zod'
import { dropPump } from '@/server/prices/prices'
import { signedInRoute } from '@/server/platform/http/route'
import { said } from '@/domain/shared/said'

/** A pump's key as it stands in the address; one that is wrongly escaped names none. */
const unescaped = (text: string, context: z.RefinementCtx): string => {
  try {
    return decodeURIComponent(text)
  } catch {
    context.addIssue({ code: 'custom', message: said('kit.problems.nothingHere') })
    return z.NEVER
  }
}

export const DELETE = signedInRoute(
  { path: z.object({ pumpId: z.string().max(80).transform(unescaped) }) },
  ({ actor, path }) => dropPump(actor, path.pumpId),
)
