import { z } from 'zod'
import { EquipmentInput } from '@/domain/equipment'
import { version } from '@/domain/fields'
import { signedInRoute } from '@/server/http/route'
import { changeEquipment } from '@/server/use-cases/tasks'

const path = z.object({ equipmentId: z.uuid() })
const body = z.strictObject({ version, equipment: EquipmentInput })

export const PUT = signedInRoute({ path, body }, ({ actor, path, body }) => changeEquipment(actor, path.equipmentId, body.version, body.equipment))
