import { z } from 'zod'
import { EquipmentInput } from '@/domain/equipment'
import { PondId } from '@/domain/ids'
import { signedInRoute } from '@/server/http/route'
import { addEquipment } from '@/server/use-cases/tasks'

export const POST = signedInRoute({ path: z.object({ pondId: PondId }), body: EquipmentInput }, ({ actor, path, body }) =>
  addEquipment(actor, path.pondId, body),
)
