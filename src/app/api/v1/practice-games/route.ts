import { NewGameInput } from '@/domain/trainer/practice-game'
import { signedInRoute } from '@/server/platform/http/route'
import { startPracticeGame } from '@/server/trainer/practice-games'

export const POST = signedInRoute({ body: NewGameInput }, ({ actor, body }) => startPracticeGame(actor, body))
