import type { PondId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { may } from '@/domain/people/roles'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listDesigns } from '@/server/design/design-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listPlantPhotos } from '@/server/visits/photo-repository'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { figureThisYear } from '@/server/visits/visit-repository'
import { todayIn } from '@/server/platform/today'
import { bedOf, keptCuttings, pondGaps } from './gaps'
import { plantsOf } from './plants-of'

/** Everything of a pond's plants: groups on the plan, what they ask for, where cuttings may go, how they looked. */
export async function pondPlants(actor: Actor, pondId: PondId) {
  assertMay(actor, 'ponds.read')
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    const [plants] = await plantsOf(trx, { today, timeZone: actor.timeZone }, await listPlanningPonds(trx, [pondId]))
    const designs = await listDesigns(trx, pondId)
    const bed = bedOf(designs)
    const cuttings = await keptCuttings(trx)
    return {
      today,
      pond,
      bed,
      bedVersion: designs[0]?.number ?? null,
      patches: plants!.patches,
      tasks: plants!.tasks,
      ...pondGaps(plants!, bed, cuttings),
      cuttings,
      photos: await listPlantPhotos(trx, pondId),
      cuttingBuckets: await figureThisYear(trx, pondId, 'cuttingBuckets', `${today.slice(0, 4)}-01-01`),
      mayWrite: may(actor.role, 'ponds.write'),
      mayLog: may(actor.role, 'visits.log'),
    }
  })
}
export type PondPlantsData = Awaited<ReturnType<typeof pondPlants>>
