import { ApiKeyInput } from '@/domain/api-key'
import { signedInRoute } from '@/server/http/route'
import { makeApiKey } from '@/server/use-cases/api-keys'

export const POST = signedInRoute({ body: ApiKeyInput }, ({ actor, body }) => makeApiKey(actor, body))
