import { z } from 'zod'
import { EQUIPMENT_KINDS, type EquipmentKindKey } from '../../core/visits/equipment-care'
import { numberWithin, optionalText, shortText } from '../shared/fields'
import { speciesKey } from '../plants/plants'
import { said } from '../shared/said'

export const STOCK_KINDS = ['product', 'part', 'net', 'plant', 'other'] as const

export const StockItemInput = z.strictObject({
  name: shortText('stores.fields.name', 80),
  kind: z.enum(STOCK_KINDS, { error: said('kit.problems.chooseWhat') }),
  unit: shortText('stores.fields.unit', 12),
  /** Reordered when there would be less than this. */
  least: numberWithin([0, 1e7], 'stores.fields.leastInStore', ''),
  /** The product of the book that visits book from here, or null. */
  productKey: z.string().max(40).nullable().default(null),
  /** The kind of equipment whose parts are taken from here, or null. */
  equipmentKind: z
    .enum(EQUIPMENT_KINDS.map((k) => k.key) as [EquipmentKindKey, ...EquipmentKindKey[]])
    .nullable()
    .default(null),
  /** The plant whose rooted pieces these are, or null. */
  speciesKey: speciesKey.nullable().default(null),
  /** Where it is kept. */
  place: optionalText('stores.fields.whereItIsKept', 80),
})
export type StockItemInput = z.infer<typeof StockItemInput>

/** The unit of what is counted; what is weighed or measured has a unit of its own. */
export const PIECES = 'pieces'

/** received: came in; used: went out by hand; counted: set to what is there. */
export const STOCK_MOVES = ['received', 'used', 'counted'] as const
export type StockMoveKind = (typeof STOCK_MOVES)[number]
export const StockMoveInput = z.strictObject({
  move: z.enum(STOCK_MOVES),
  amount: numberWithin([0, 1e7], 'stores.fields.amount', ''),
  note: optionalText('stores.fields.note', 160),
})
export type StockMoveInput = z.infer<typeof StockMoveInput>

export interface StockItem extends StockItemInput {
  readonly id: string
  readonly version: number
  readonly onHand: number
}

/** What coming visits take, beside what is there. */
export interface StockNeed extends StockItem {
  readonly needed: number
  /** How much to order so that the least is still there after those visits. */
  readonly order: number
}

export const withNeed = (item: StockItem, needed: number): StockNeed => ({
  ...item,
  needed,
  order: Math.max(0, needed + item.least - item.onHand),
})
