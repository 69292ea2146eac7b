import { z } from 'zod'
import { calendarDay } from '@/domain/shared/fields'
import { PondId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { takeOverPlanting } from '@/server/plants/patches'

export const POST = signedInRoute(
  { path: z.object({ pondId: PondId }), body: z.strictObject({ plantedOn: calendarDay.nullable() }) },
  ({ actor, path, body }) => takeOverPlanting(actor, path.pondId, body.plantedOn),
)
