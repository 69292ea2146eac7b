import type { RowOf } from '@/server/platform/db/column-types'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { FirmId, UserId, VisitId } from '@/domain/shared/ids'
import type { StockItem, StockItemInput, StockMoveKind } from '@/domain/stores/stores'
import { updateVersioned } from '@/server/platform/db/versioned-update'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    stock_items: {
      kind: StockItem['kind']
      unit: StockItem['unit']
      equipment_kind: StockItem['equipmentKind']
      species_key: StockItem['speciesKey']
    }
  }
}

const toRow = (input: StockItemInput) => ({
  name: input.name,
  kind: input.kind,
  unit: input.unit,
  least: input.least,
  product_key: input.productKey,
  equipment_kind: input.equipmentKind,
  species_key: input.speciesKey,
  place: input.place,
})

const withStock = (trx: Knex.Transaction) =>
  trx('stock_items as i').select(
    'i.*',
    trx.raw(
      'coalesce((select sum(m.amount) from stock_moves m where m.item_id = i.id), 0)::double precision as on_hand',
    ),
  )

const toItem = (r: RowOf<'stock_items'> & { on_hand: number }): StockItem => ({
  id: r.id,
  name: r.name,
  kind: r.kind,
  unit: r.unit,
  least: r.least,
  productKey: r.product_key,
  equipmentKind: r.equipment_kind,
  speciesKey: r.species_key,
  place: r.place,
  version: r.version,
  onHand: r.on_hand,
})

export async function listStock(trx: Knex.Transaction): Promise<StockItem[]> {
  return (await withStock(trx).orderBy(['i.kind', 'i.name'])).map(toItem)
}

export async function findStockItem(trx: Knex.Transaction, id: string): Promise<StockItem | undefined> {
  const row = await withStock(trx).where('i.id', id).first()
  return row && toItem(row)
}

export async function insertStockItem(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: string,
  input: StockItemInput,
): Promise<void> {
  await trx('stock_items').insert({ id, firm_id: firmId, ...toRow(input) })
}

export async function updateStockItem(
  trx: Knex.Transaction,
  id: string,
  version: number,
  input: StockItemInput,
): Promise<void> {
  await updateVersioned(trx, 'stock_items', id, version, toRow(input), async () => findStockItem(trx, id))
}

export interface NewMove {
  readonly itemId: string
  readonly amount: number
  readonly move: StockMoveKind
  readonly note: string
  readonly visitId: VisitId | null
}

export async function insertMoves(
  trx: Knex.Transaction,
  firmId: FirmId,
  by: UserId,
  moves: readonly NewMove[],
): Promise<void> {
  if (moves.length === 0) return
  await trx('stock_moves').insert(
    moves.map((m) => ({
      id: randomUUID(),
      firm_id: firmId,
      item_id: m.itemId,
      amount: m.amount,
      move: m.move,
      note: m.note,
      visit_id: m.visitId,
      by_id: by,
    })),
  )
}

/** Forgets what a visit had taken, before its log is booked again. */
export async function removeVisitMoves(trx: Knex.Transaction, visitId: VisitId): Promise<void> {
  await trx('stock_moves').where({ visit_id: visitId }).delete()
}

export interface StockMove {
  readonly id: string
  readonly item: string
  readonly amount: number
  readonly unit: string
  readonly move: StockMoveKind
  readonly note: string
  readonly by: string
  readonly at: string
}

/** The last movements, newest first. */
export async function listMoves(trx: Knex.Transaction, limit: number): Promise<StockMove[]> {
  const rows = await trx('stock_moves as m')
    .join('stock_items as i', 'i.id', 'm.item_id')
    .join('users as u', 'u.id', 'm.by_id')
    .orderBy('m.created_at', 'desc')
    .limit(limit)
    .select('m.id', 'i.name', 'i.unit', 'm.amount', 'm.move', 'm.note', 'u.name as by_name', 'm.created_at')
  return rows.map((r) => ({
    id: r.id,
    item: r.name,
    unit: r.unit,
    amount: r.amount,
    move: r.move as StockMoveKind,
    note: r.note,
    by: r.by_name,
    at: r.created_at.toISOString(),
  }))
}
