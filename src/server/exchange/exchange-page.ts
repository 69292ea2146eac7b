import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { may } from '@/domain/people/roles'
import { listApiKeys } from '@/server/firm/api-key-repository'
import { listBusySources } from '@/server/rounds/busy-repository'
import { listCustomers } from '@/server/customers/customer-repository'
import { listFeeds } from '@/server/rounds/feed-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listCrews } from '@/server/people/people-repository'
import { countOwnDays, listStations } from '@/server/season/weather-repository'
import { todayIn } from '@/server/platform/today'

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
export type ExchangeData = Awaited<ReturnType<typeof exchangePage>>
