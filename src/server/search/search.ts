import { may } from '@/domain/people/roles'
import { wordsOf, type SearchHit } from '@/domain/search/search'
import { speciesByName } from '@/messages/plants/species-name'
import { firmTexts } from '@/messages/texts'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { todayIn } from '@/server/platform/today'
import {
  readPlaces,
  searchCustomers,
  searchEquipment,
  searchPlants,
  searchPonds,
  searchProposals,
  searchStock,
  searchVisits,
} from '@/server/search/search-repository'

/** Plants by every name that they have. */
const NAMES = speciesByName(firmTexts()).map(({ key, common, botanical }) => ({ key, name: `${common} ${botanical}` }))

/**
 * What holds all words of a query, of the kinds that the person may see: ponds first, then visits, customers,
 * proposals, equipment and what is in the stores.
 */
export async function search(actor: Actor, q: string): Promise<SearchHit[]> {
  assertMay(actor, 'ponds.read')
  const words = wordsOf(q)
  return inFirm(actor.firmId, async (trx) => {
    const places = await readPlaces(trx)
    return [
      ...searchPonds(places, words),
      ...(await searchVisits(trx, places, words, todayIn(actor.timeZone))),
      ...(may(actor.role, 'visits.plan') ? await searchCustomers(trx, words) : []),
      ...(may(actor.role, 'prices.read') ? await searchProposals(trx, places, words) : []),
      ...(await searchEquipment(trx, places, words)),
      ...(await searchPlants(trx, places, words, NAMES)),
      ...(await searchStock(trx, words)),
    ]
  })
}
