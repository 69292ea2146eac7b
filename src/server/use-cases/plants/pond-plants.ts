import { plantingSite } from '@/core/filter/design'
import { plantGaps, replant } from '@/core/plants/replant'
import type { PondId } from '@/domain/ids'
import { toFill } from '@/domain/plants'
import { savedPondFacts } from '@/domain/pond-facts'
import { notFound } from '@/domain/problems'
import { may } from '@/domain/roles'
import { assertMay, type Actor } from '@/server/auth/actor'
import { listDesigns } from '@/server/db/design-repository'
import { inFirm } from '@/server/db/firm-transaction'
import { listPlantPhotos } from '@/server/db/photo-repository'
import { listPlanningPonds } from '@/server/db/planning-repository'
import { findPond } from '@/server/db/pond-repository'
import { listStock } from '@/server/db/stock-repository'
import { figureThisYear } from '@/server/db/visit-repository'
import { todayIn } from '@/server/today'
import { plantsOf } from './plants-of'

/** Everything of a pond's plants: groups on the plan, what they ask for, where cuttings may go, how they looked. */
export async function pondPlants(actor: Actor, pondId: PondId) {
  assertMay(actor, 'ponds.read')
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('That pond')
    const [{ patches, year, tasks }] = await plantsOf(trx, { today, timeZone: actor.timeZone }, await listPlanningPonds(trx, [pondId]))
    const [design] = await listDesigns(trx, pondId)
    const bed = design ? (design.builtBed ?? design.bed) : null
    const site = bed && plantingSite(bed, { areaM2: savedPondFacts(pond).basin.areaM2, monthlyTempC: year.weeklyWaterC })
    const [inBed, inPond] = [toFill(patches, 'bed'), toFill(patches, 'pond')]
    const gaps = { bed: inBed.length === 0 ? [] : plantGaps(inBed, site), pond: plantGaps(inPond, null) }
    const cuttings = (await listStock(trx)).flatMap((item) => (item.speciesKey ? [{ species: item.speciesKey, onHand: item.onHand }] : []))
    return {
      today,
      pond,
      bed,
      bedVersion: design?.number ?? null,
      patches,
      tasks,
      gaps: [...gaps.bed, ...gaps.pond],
      cuttings,
      replanting: [...replant(gaps.bed, inBed, cuttings, site), ...replant(gaps.pond, inPond, cuttings, null)],
      photos: await listPlantPhotos(trx, pondId),
      cuttingBuckets: await figureThisYear(trx, pondId, 'cuttingBuckets', `${today.slice(0, 4)}-01-01`),
      mayWrite: may(actor.role, 'ponds.write'),
      mayLog: may(actor.role, 'visits.log'),
    }
  })
}
