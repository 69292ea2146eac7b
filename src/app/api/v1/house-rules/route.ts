import { z } from 'zod'
import { version } from '@/domain/shared/fields'
import { HouseRules } from '@/domain/house-rules/house-rules'
import { setHouseRules } from '@/server/firm/firm'
import { signedInRoute } from '@/server/platform/http/route'

export const PUT = signedInRoute({ body: z.strictObject({ version, rules: HouseRules }) }, ({ actor, body }) =>
  setHouseRules(actor, body.version, body.rules),
)
