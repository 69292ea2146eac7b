import { z } from 'zod'
import { TrainerGameId } from '@/domain/shared/ids'
import { WeeksInput } from '@/domain/trainer/trainer-game'
import { signedInRoute } from '@/server/platform/http/route'
import { dropTrainerGame, keepWeeks } from '@/server/trainer/trainer-games'

const path = z.object({ gameId: TrainerGameId })

export const PUT = signedInRoute({ path, body: WeeksInput }, ({ actor, path, body }) =>
  keepWeeks(actor, path.gameId, body.choices),
)
export const DELETE = signedInRoute({ path }, ({ actor, path }) => dropTrainerGame(actor, path.gameId))
