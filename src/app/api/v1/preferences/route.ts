import { Preferences } from '@/domain/people'
import { setPreferences } from '@/server/use-cases/firm'
import { signedInRoute } from '@/server/http/route'

export const PUT = signedInRoute({ body: Preferences }, ({ actor, body }) => setPreferences(actor, body))
