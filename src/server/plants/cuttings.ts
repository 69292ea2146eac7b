import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { FirmId, VisitId } from '@/domain/shared/ids'
import { PIECES, StockItemInput, type StockItem } from '@/domain/stores/stores'
import { insertStockItem, listStock, type NewMove } from '@/server/stores/stock-repository'
import { firmTexts } from '@/messages/texts'
import { speciesName } from '@/messages/plants/species-name'

/** Rooted pieces of one kind that came to the holding bed, or went out of it. */
export interface CuttingsMove {
  readonly species: string
  readonly amount: number
}

const shelf = (species: string): StockItemInput =>
  StockItemInput.parse({
    name: firmTexts()('stores.cuttings.name', { species: speciesName(species, firmTexts()) }),
    kind: 'plant',
    unit: PIECES,
    least: 0,
    speciesKey: species,
    place: firmTexts()('stores.cuttings.place'),
  })

/**
 * Cuttings as movements of the stores. A kind that is kept for the first time gets a shelf; no more goes out than
 * lies there: the other
 * plants were bought.
 */
export async function cuttingsMoves(
  trx: Knex.Transaction,
  firmId: FirmId,
  moves: readonly CuttingsMove[],
  note: string,
  visitId: VisitId | null,
): Promise<NewMove[]> {
  const net = new Map<string, number>()
  for (const { species, amount } of moves) net.set(species, (net.get(species) ?? 0) + amount)
  const shelves = new Map(
    (await listStock(trx)).flatMap((item): [string, StockItem][] => (item.speciesKey ? [[item.speciesKey, item]] : [])),
  )
  const booked: NewMove[] = []
  for (const [species, amount] of net) {
    if (amount === 0) continue
    const there = shelves.get(species)
    let itemId = there?.id
    if (!itemId && amount > 0) {
      itemId = randomUUID()
      await insertStockItem(trx, firmId, itemId, shelf(species))
    }
    const moved = amount > 0 ? amount : Math.max(amount, -Math.max(0, there?.onHand ?? 0))
    if (itemId && moved !== 0)
      booked.push({ itemId, amount: moved, move: amount > 0 ? 'received' : 'used', note, visitId })
  }
  return booked
}
