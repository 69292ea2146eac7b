import { z } from 'zod'
import { EquipmentInput } from '@/domain/equipment/equipment'
import { version } from '@/domain/shared/fields'
import { signedInRoute } from '@/server/platform/http/route'
import { changeEquipment } from '@/server/equipment/tasks'

const path = z.object({ equipmentId: z.uuid() })
const body = z.strictObject({ version, equipment: EquipmentInput })

export const PUT = signedInRoute({ path, body }, ({ actor, path, body }) =>
  changeEquipment(actor, path.equipmentId, body.version, body.equipment),
)
