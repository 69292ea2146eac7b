import { DEFAULT_KIT } from '@/core/visits/cleanout-quantities'
import { EARLIER_DOSE_DAYS } from '@/domain/water/dosing'
import type { PondId } from '@/domain/shared/ids'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { notFound } from '@/domain/shared/problems'
import { may } from '@/domain/people/roles'
import { systemVolumeOf } from '@/domain/ponds/system-volume'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listDesigns } from '@/server/design/design-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { bedMaterialsAt } from '@/server/house-rules/filter-rules'
import { findPond } from '@/server/ponds/pond-repository'
import { findProducts } from '@/server/stores/product-repository'
import { listLastReadings } from '@/server/water/reading-repository'
import { listDosesSince } from '@/server/visits/visit-repository'
import { todayIn } from '@/server/platform/today'
import { gateFacts } from '@/server/field/facts'
import { DAY_MS } from '@/core/numeric/time'

/** What doses and water changes of a pond are worked out from. */
export async function dosesPage(actor: Actor, pondId: PondId) {
  assertMay(actor, 'ponds.read')
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    const facts = savedPondFacts(pond)
    return {
      pond: { id: pond.id, name: pond.name, siteName: pond.siteName, mains: pond.waterSource === 'mains' },
      today: todayIn(actor.timeZone),
      system: systemVolumeOf(pond, facts.adopted, await listDesigns(trx, pondId), await bedMaterialsAt(trx, pond)),
      maxDepthM: facts.basin.maxDepthM,
      hoseM3PerH: DEFAULT_KIT.hoseM3PerH,
      products: (await findProducts(trx)).products,
      readings: (await listLastReadings(trx, [pondId])).get(pondId)!,
      recentDoses: await listDosesSince(trx, [pondId], new Date(Date.now() - EARLIER_DOSE_DAYS * DAY_MS).toISOString()),
      gateFacts: await gateFacts(trx, null, pond),
      now: new Date().toISOString(),
      mayPlan: may(actor.role, 'visits.plan'),
    }
  })
}
export type DosesData = Awaited<ReturnType<typeof dosesPage>>
