import { z } from 'zod'
import { HouseTables } from '@/domain/house-tables'
import { setHouseTables } from '@/server/use-cases/prices'
import { signedInRoute } from '@/server/http/route'

export const PUT = signedInRoute({ body: z.strictObject({ version: z.int().min(0), tables: HouseTables }) }, ({ actor, body }) =>
  setHouseTables(actor, body.version, body.tables),
)
