import { assertMay, type Actor } from '@/server/auth/actor'
import { may } from '@/domain/roles'
import { listApiKeys } from '@/server/db/api-key-repository'
import { listBusySources } from '@/server/db/busy-repository'
import { listCustomers } from '@/server/db/customer-repository'
import { listFeeds } from '@/server/db/feed-repository'
import { inFirm } from '@/server/db/firm-transaction'
import { listCrews } from '@/server/db/people-repository'
import { countOwnDays, listStations } from '@/server/db/weather-repository'
import { todayIn } from '@/server/today'

/** What comes in and goes out: calendars, busy times, weather, sites, plans, visits. */
export async function exchangePage(actor: Actor) {
  assertMay(actor, 'visits.plan')
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const own = await countOwnDays(trx)
    return {
      today,
      crews: (await listCrews(trx)).map(({ id, name }) => ({ id, name })),
      customers: (await listCustomers(trx)).map(({ id, name }) => ({ id, name })),
      feeds: await listFeeds(trx),
      keys: may(actor.role, 'people.write') ? await listApiKeys(trx) : null,
      busy: await listBusySources(trx, today),
      stations: (await listStations(trx)).map(({ id, name }) => ({ id, name, own: own.get(id) ?? null })),
    }
  })
}
