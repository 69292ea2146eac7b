import type { FirmId } from '@/domain/shared/ids'
import { database } from '@/server/platform/db/connection'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond, listPonds } from '@/server/ponds/pond-repository'
import { listStations } from '@/server/season/weather-repository'
import { todayIn } from '@/server/platform/today'
import { renewPond } from '@/server/season/live-season'
import { weather } from '@/server/season/weather'

/**
 * Brings the kept windows of all ponds up to the house rules, the weather and the readings of now, a pond at a time.
 */
export async function windowsOfPonds(firmId: FirmId): Promise<void> {
  await weather()
  const stations = await listStations(database())
  for (const { id } of await inFirm(firmId, listPonds))
    await inFirm(firmId, async (trx) => {
      const pond = await findPond(trx, id)
      const { rules, timeZone } = await findFirm(trx)
      if (pond) await renewPond(trx, pond, { firmId, house: rules, timeZone, stations, today: todayIn(timeZone) })
    })
}
