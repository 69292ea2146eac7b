import { SyncInput } from '@/domain/field/sync-input'
import { signedInRoute } from '@/server/platform/http/route'
import { syncField } from '@/server/field/sync'

export const POST = signedInRoute({ body: SyncInput, cleaned: true }, ({ actor, body }) => syncField(actor, body))
