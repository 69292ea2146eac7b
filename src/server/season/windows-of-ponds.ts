import type { FirmId, PondId } from '@/domain/shared/ids'
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
 * @param only some of them; all when left out
 */
export async function windowsOfPonds(firmId: FirmId, only?: readonly PondId[]): Promise<void> {
  await weather()
  const stations = await listStations(database())
  const ids = only ?? (await inFirm(firmId, (trx) => listPonds(trx))).map(({ id }) => id)
  for (const id of ids)
    await inFirm(firmId, async (trx) => {
      const pond = await findPond(trx, id)
      const { rules, timeZone } = await findFirm(trx)
      if (pond) await renewPond(trx, pond, { firmId, house: rules, timeZone, stations, today: todayIn(timeZone) })
    })
}
