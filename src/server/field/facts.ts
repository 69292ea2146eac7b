import type { Knex } from 'knex'
import type { PondInContext } from '@/domain/ponds/pond'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { systemVolumeOf } from '@/domain/ponds/system-volume'
import type { VisitId } from '@/domain/shared/ids'
import { fishTakenOut, stepStates, type FishInTanks, type GateFacts } from '@/domain/visits/visit-progress'
import { findSite } from '@/server/customers/customer-repository'
import { listDesigns } from '@/server/design/design-repository'
import { bedMaterialsAt } from '@/server/house-rules/filter-rules'
import { listLastReadings } from '@/server/water/reading-repository'
import { findVisit, lastFigure, listEntries } from '@/server/visits/visit-repository'

/** What gates need to know of the pond: its whole water, whether plants grow in it, and when water was last changed. */
export async function gateFacts(
  trx: Knex.Transaction,
  visitId: VisitId | null,
  pond: PondInContext,
): Promise<GateFacts> {
  const designs = await listDesigns(trx, pond.id)
  const last = await lastFigure(trx, pond.id, 'changedM3', visitId)
  const readings = (await listLastReadings(trx, [pond.id])).get(pond.id) ?? []
  const system = systemVolumeOf(pond, savedPondFacts(pond).adopted, designs, await bedMaterialsAt(trx, pond))
  return {
    systemM3: system.totalM3,
    systemRangeM3: [system.lowM3, system.highM3],
    // a bed is planted; other ponds are taken to be, since salt harms what it meets
    planted: true,
    lastChangeAt: last?.at ?? null,
    fill: (await findSite(trx, pond.siteId))?.fill ?? null,
    salinity: readings.find((r) => r.kind === 'salinity')?.value ?? null,
    fishInTanks: visitId ? await fishOfTheFirstDay(trx, visitId) : null,
  }
}

/** Fish that the first day of a cleanout put into tanks, for its second. */
export async function fishOfTheFirstDay(trx: Knex.Transaction, secondDay: VisitId): Promise<FishInTanks | null> {
  const { legOf } = (await findVisit(trx, secondDay)) ?? {}
  const first = legOf ? await findVisit(trx, legOf) : undefined
  return first ? fishTakenOut(stepStates(first.job.steps, await listEntries(trx, first.id))) : null
}
