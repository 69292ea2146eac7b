import { NewGameInput } from '@/domain/practice-game'
import { signedInRoute } from '@/server/http/route'
import { startPracticeGame } from '@/server/use-cases/lab/practice-games'

export const POST = signedInRoute({ body: NewGameInput }, ({ actor, body }) => startPracticeGame(actor, body))
