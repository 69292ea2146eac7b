import { SyncInput } from '@/domain/field-log'
import { signedInRoute } from '@/server/http/route'
import { syncField } from '@/server/use-cases/field/sync'

export const POST = signedInRoute({ body: SyncInput, cleaned: true }, ({ actor, body }) => syncField(actor, body))
