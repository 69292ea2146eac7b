import { z } from 'zod'
import { PracticeGameId } from '@/domain/ids'
import { WeeksInput } from '@/domain/practice-game'
import { signedInRoute } from '@/server/http/route'
import { dropPracticeGame, keepWeeks } from '@/server/use-cases/lab/practice-games'

const path = z.object({ gameId: PracticeGameId })

export const PUT = signedInRoute({ path, body: WeeksInput }, ({ actor, path, body }) => keepWeeks(actor, path.gameId, body.choices))
export const DELETE = signedInRoute({ path }, ({ actor, path }) => dropPracticeGame(actor, path.gameId))
