import type { FirmId } from '@/domain/ids'
import { findFirm } from '@/server/db/firm-repository'
import { inFirm } from '@/server/db/firm-transaction'
import { findPond, listPonds } from '@/server/db/pond-repository'
import { seasonOf } from '@/server/use-cases/season'
import { weather } from '@/server/use-cases/weather'

/** Brings the kept windows of all ponds up to the house practice of now, a pond at a time. Ponds that are up to date cost next to nothing. */
export async function windowsOfPonds(firmId: FirmId): Promise<void> {
  const { stations } = await weather()
  for (const { id } of await inFirm(firmId, listPonds))
    await inFirm(firmId, async (trx) => {
      const pond = await findPond(trx, id)
      if (pond) await seasonOf(trx, firmId, pond, (await findFirm(trx)).practice, stations)
    })
}
