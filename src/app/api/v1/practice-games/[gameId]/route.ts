import { z } from 'zod'
import { PracticeGameId } from '@/domain/shared/ids'
import { WeeksInput } from '@/domain/trainer/practice-game'
import { signedInRoute } from '@/server/platform/http/route'
import { dropPracticeGame, keepWeeks } from '@/server/trainer/practice-games'

const path = z.object({ gameId: PracticeGameId })

export const PUT = signedInRoute({ path, body: WeeksInput }, ({ actor, path, body }) => keepWeeks(actor, path.gameId, body.choices))
export const DELETE = signedInRoute({ path }, ({ actor, path }) => dropPracticeGame(actor, path.gameId))
