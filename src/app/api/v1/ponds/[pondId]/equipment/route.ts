import { z } from 'zod'
import { EquipmentInput } from '@/domain/equipment/equipment'
import { PondId } from '@/domain/shared/ids'
import { signedInRoute } from '@/server/platform/http/route'
import { addEquipment } from '@/server/equipment/tasks'

export const POST = signedInRoute(
  { path: z.object({ pondId: PondId }), body: EquipmentInput },
  ({ actor, path, body }) => addEquipment(actor, path.pondId, body),
)
