import { z } from 'zod'
import { HouseConstants } from '@/domain/house-rules/house-constants'
import { setHouseConstants } from '@/server/house-rules/house-constants'
import { signedInRoute } from '@/server/platform/http/route'

export const PUT = signedInRoute(
  { body: z.strictObject({ version: z.int().min(0), own: HouseConstants }) },
  ({ actor, body }) => setHouseConstants(actor, body.version, body.own),
)
