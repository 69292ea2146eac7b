import { randomUUID } from 'node:crypto'
import { addDays } from '@/core/numeric/calendar'
import type { PondId, WhatIfId } from '@/domain/shared/ids'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { notFound } from '@/domain/shared/problems'
import { may } from '@/domain/people/roles'
import type { WhatIfInput } from '@/domain/forecasts/what-if'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { database } from '@/server/platform/db/connection'
import { listDesigns } from '@/server/design/design-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond } from '@/server/ponds/pond-repository'
import { listDailyReadings } from '@/server/water/reading-repository'
import { listStations } from '@/server/season/weather-repository'
import { deleteWhatIf, insertWhatIf, listWhatIfs } from '@/server/forecasts/what-if-repository'
import { todayIn } from '@/server/platform/today'
import { weather } from '@/server/season/weather'
import { pondModel } from './pond-model'

/** Tests of so long ago are held beside runs that begin in the past. */
const TESTS_DAYS = 800

/** The what-if page of one pond. */
export async function whatIfPage(actor: Actor, pondId: PondId) {
  assertMay(actor, 'ponds.read')
  await weather()
  const stations = await listStations(database())
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    return {
      pond: { id: pond.id, name: pond.name, siteName: pond.siteName },
      basin: savedPondFacts(pond).basin,
      today,
      model: await pondModel(trx, actor, pond, stations, today),
      saved: await listWhatIfs(trx, pondId),
      tests: await listDailyReadings(trx, pondId, addDays(today, -TESTS_DAYS), actor.timeZone),
      built: (await listDesigns(trx, pondId)).find((d) => d.state === 'built')?.stateAt?.slice(0, 10) ?? null,
      maySave: may(actor.role, 'ponds.write'),
    }
  })
}
export type WhatIfPageData = Awaited<ReturnType<typeof whatIfPage>>

export async function saveWhatIf(actor: Actor, pondId: PondId, whatIf: WhatIfInput): Promise<{ id: WhatIfId }> {
  assertMay(actor, 'ponds.write')
  return inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    const id = randomUUID() as WhatIfId
    await insertWhatIf(trx, actor.firmId, id, pondId, actor.userId, whatIf)
    return { id }
  })
}

export async function dropWhatIf(actor: Actor, id: WhatIfId): Promise<void> {
  assertMay(actor, 'ponds.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await deleteWhatIf(trx, id))) throw notFound('whatIf')
  })
}
