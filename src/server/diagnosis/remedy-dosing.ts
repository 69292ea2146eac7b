import type { Knex } from 'knex'
import { DAY_MS } from '@/core/numeric/time'
import type { RemedyDosingFacts } from '@/domain/diagnosis/remedy-doses'
import type { PondInContext } from '@/domain/ponds/pond'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { systemVolumeOf } from '@/domain/ponds/system-volume'
import { EARLIER_DOSE_DAYS, givenEarlier, youngTests } from '@/domain/water/dosing'
import { listDesigns } from '@/server/design/design-repository'
import { bedMaterialsAt } from '@/server/house-rules/filter-rules'
import { findProducts } from '@/server/stores/product-repository'
import { listDosesSince } from '@/server/visits/visit-repository'
import { listLastReadings } from '@/server/water/reading-repository'

/** What doses of a remedy are worked out from: the firm's products, the system's water, its warmth, earlier doses. */
export async function dosingFacts(
  trx: Knex.Transaction,
  pond: PondInContext,
  today: string,
): Promise<RemedyDosingFacts> {
  const { products } = await findProducts(trx)
  const readings = (await listLastReadings(trx, [pond.id])).get(pond.id) ?? []
  const now = Date.now()
  const system = systemVolumeOf(
    pond,
    savedPondFacts(pond).adopted,
    await listDesigns(trx, pond.id),
    await bedMaterialsAt(trx, pond),
  )
  return {
    products,
    systemM3: system.totalM3,
    systemLeastM3: system.lowM3,
    waterC: youngTests(readings, ['waterTemp'], today).values.waterTemp ?? null,
    recent: givenEarlier(
      await listDosesSince(trx, [pond.id], new Date(now - EARLIER_DOSE_DAYS * DAY_MS).toISOString()),
      products,
      now,
    ),
  }
}
