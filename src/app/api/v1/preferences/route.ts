import { Preferences } from '@/domain/people/people'
import { setPreferences } from '@/server/firm/firm'
import { signedInRoute } from '@/server/platform/http/route'

export const PUT = signedInRoute({ body: Preferences }, ({ actor, body }) => setPreferences(actor, body))
