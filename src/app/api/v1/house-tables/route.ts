import { z } from 'zod'
import { HouseTables } from '@/domain/house-rules/house-tables'
import { setHouseTables } from '@/server/prices/prices'
import { signedInRoute } from '@/server/platform/http/route'

export const PUT = signedInRoute(
  { body: z.strictObject({ version: z.int().min(0), tables: HouseTables }) },
  ({ actor, body }) => setHouseTables(actor, body.version, body.tables),
)
