import { ApiKeyInput } from '@/domain/firm/api-key'
import { signedInRoute } from '@/server/platform/http/route'
import { makeApiKey } from '@/server/firm/api-keys'

export const POST = signedInRoute({ body: ApiKeyInput }, ({ actor, body }) => makeApiKey(actor, body))
