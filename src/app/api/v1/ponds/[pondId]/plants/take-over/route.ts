import { z } from 'zod'
import { calendarDay } from '@/domain/fields'
import { PondId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { takeOverPlanting } from '@/server/use-cases/plants/patches'

export const POST = signedInRoute(
  { path: z.object({ pondId: PondId }), body: z.strictObject({ plantedOn: calendarDay.nullable() }) },
  ({ actor, path, body }) => takeOverPlanting(actor, path.pondId, body.plantedOn),
)
