import { StockItemInput } from '../src/domain/stores/stores'
import type { Actor } from '../src/server/platform/auth/actor'
import { addStockItem, moveStock } from '../src/server/stores/stores'

/** Shelves of the yard: name, kind, unit, least, there, and the product or part that visits book from it. */
const SHELVES: readonly [string, StockItemInput['kind'], string, number, number, Partial<StockItemInput>][] = [
  ['Sodium thiosulfate, crystals', 'product', 'g', 1500, 2600, { productKey: 'thiosulfate', place: 'Dry cupboard' }],
  ['Sodium bicarbonate', 'product', 'g', 5000, 11_000, { productKey: 'bicarbonate', place: 'Dry cupboard' }],
  ['Cold-water bacteria, dry', 'product', 'g', 1000, 640, { productKey: 'cold-culture', place: 'Fridge' }],
  ['Pond bacteria, liquid', 'product', 'mL', 4000, 7500, { productKey: 'culture', place: 'Cool shelf' }],
  ['Pond salt without additives', 'product', 'g', 50_000, 75_000, { productKey: 'salt', place: 'Pallet by the gate' }],
  ['UV lamps', 'part', 'pieces', 2, 3, { equipmentKind: 'uv-lamp', place: 'Rack B' }],
  ['Filter pads, cut to size', 'part', 'pieces', 4, 9, { equipmentKind: 'filter-pads', place: 'Rack B' }],
  ['Dosing packs', 'part', 'pieces', 6, 5, { equipmentKind: 'dosing-unit', place: 'Cool shelf' }],
  ['Leaf net, 8 m roll', 'net', 'm', 20, 46, { place: 'Loft' }],
  ['Ridge posts', 'net', 'pieces', 12, 31, { place: 'Loft' }],
  ['Tufted sedge, rooted pieces', 'plant', 'pieces', 0, 24, { speciesKey: 'carex-elata', place: 'Holding bed' }],
  ['Pickerelweed, rooted pieces', 'plant', 'pieces', 0, 9, { speciesKey: 'pontederia-cordata', place: 'Holding bed' }],
]

/** Fills the shelves as after a stocktaking. */
export async function stockShelves(owner: Actor): Promise<void> {
  for (const [name, kind, unit, min, there, more] of SHELVES) {
    const { id } = await addStockItem(owner, StockItemInput.parse({ name, kind, unit, least: min, ...more }))
    await moveStock(owner, id, { move: 'counted', amount: there, note: 'Stocktaking' })
  }
}
