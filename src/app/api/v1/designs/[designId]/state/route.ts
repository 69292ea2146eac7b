import { z } from 'zod'
import { optionalText, version } from '@/domain/shared/fields'
import { FilterDesignInput } from '@/domain/design/design'
import { DesignId } from '@/domain/shared/ids'
import { moveDesignOn } from '@/server/design/designs'
import { signedInRoute } from '@/server/platform/http/route'

const stopReason = optionalText('design.fields.whyItIsRight', 500)

const Body = z.discriminatedUnion('state', [
  z.strictObject({ state: z.literal('approved'), version, stopReason }),
  z.strictObject({ state: z.literal('found'), version, stopReason }),
  z.strictObject({ state: z.literal('open'), version, stopReason }),
  z.strictObject({
    state: z.literal('built'),
    version,
    stopReason,
    asBuilt: optionalText('design.fields.builtOtherwise', 2000),
    builtBed: FilterDesignInput.nullable().default(null),
  }),
])

export const POST = signedInRoute({ path: z.object({ designId: DesignId }), body: Body }, ({ actor, path, body }) => {
  const { version, ...to } = body
  return moveDesignOn(actor, path.designId, version, to)
})
