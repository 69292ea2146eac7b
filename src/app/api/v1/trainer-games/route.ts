import { NewGameInput } from '@/domain/trainer/trainer-game'
import { signedInRoute } from '@/server/platform/http/route'
import { startTrainerGame } from '@/server/trainer/trainer-games'

export const POST = signedInRoute({ body: NewGameInput }, ({ actor, body }) => startTrainerGame(actor, body))
