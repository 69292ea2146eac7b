import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { DEFAULT_KIT } from '@/core/visits/cleanout-quantities'
import { visitAmounts } from '@/core/visits/visit-amounts'
import { addDays, weekOf } from '@/core/numeric/calendar'
import { equipmentDue } from '@/domain/equipment/equipment'
import type { PondId } from '@/domain/shared/ids'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { notFound } from '@/domain/shared/problems'
import { productNeeds, type ComingVisit } from '@/domain/stores/product-needs'
import { may } from '@/domain/people/roles'
import { withNeed, type StockItemInput, type StockMoveInput } from '@/domain/stores/stores'
import type { VisitInContext } from '@/domain/visits/visit'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listEquipment } from '@/server/equipment/equipment-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { findPonds } from '@/server/ponds/pond-repository'
import { findProducts } from '@/server/stores/product-repository'
import {
  findStockItem,
  insertMoves,
  insertStockItem,
  listMoves,
  listStock,
  updateStockItem,
} from '@/server/stores/stock-repository'
import { listVisits } from '@/server/visits/visit-repository'
import { todayIn } from '@/server/platform/today'
import { cleanoutPond } from '@/server/visits/visit-estimates'

/** Orders look this far ahead. @source house default */
const AHEAD_DAYS = 42
const MOVES_SHOWN = 30

/** What is in the stores, what the coming weeks take, and what has to be ordered. */
export async function storesPage(actor: Actor) {
  assertMay(actor, 'stores.read')
  const today = todayIn(actor.timeZone)
  const until = addDays(today, AHEAD_DAYS)
  return inFirm(actor.firmId, async (trx) => {
    const { products, version } = await findProducts(trx)
    const visits = (await listVisits(trx, { from: today, to: until })).filter((v) => v.state === 'planned')
    const needs = new Map(productNeeds(await comingVisits(trx, visits), products).map((n) => [n.product.key, n.amount]))
    const due = (await listEquipment(trx)).filter((piece) => equipmentDue(piece, null).due <= until)
    const items = (await listStock(trx)).map((item) => {
      const parts = item.equipmentKind === null ? 0 : due.filter((piece) => piece.kind === item.equipmentKind).length
      return withNeed(item, (item.productKey === null ? 0 : (needs.get(item.productKey) ?? 0)) + parts)
    })
    return {
      today,
      until,
      visits: visits.length,
      items,
      /** Needed, but not kept on any shelf. */
      unstocked: [...needs].flatMap(([key, amount]) =>
        items.some((item) => item.productKey === key)
          ? []
          : [{ amount, product: products.find((p) => p.key === key)! }],
      ),
      moves: await listMoves(trx, MOVES_SHOWN),
      products,
      productsVersion: version,
      mayWrite: may(actor.role, 'stores.write'),
      mayMove: may(actor.role, 'stores.move'),
    }
  })
}
export type StoresPageData = Awaited<ReturnType<typeof storesPage>>

/** Visits with the amounts of their ponds and the water that is expected. */
export async function comingVisits(trx: Knex.Transaction, visits: readonly VisitInContext[]): Promise<ComingVisit[]> {
  const ids = [...new Set(visits.map((v) => v.pondId))]
  const ponds = new Map((await findPonds(trx, ids)).map((pond) => [pond.id, pond]))
  const weeks = new Map<PondId, readonly number[] | null>(
    (await listPlanningPonds(trx, ids)).map((p) => [p.pondId, p.weeklyC]),
  )
  return visits.flatMap((visit): ComingVisit[] => {
    const pond = ponds.get(visit.pondId)
    if (!pond) return []
    const cleanout = cleanoutPond(pond, savedPondFacts(pond))
    const amounts = visitAmounts(cleanout, DEFAULT_KIT, {
      tapChlorineMgL: null,
      khDH: null,
      systemM3: cleanout.waterM3,
      planted: true,
    })
    return [{ job: visit.job, amounts, waterC: weeks.get(visit.pondId)?.[weekOf(visit.day)] ?? null }]
  })
}

export async function addStockItem(actor: Actor, input: StockItemInput): Promise<{ id: string }> {
  assertMay(actor, 'stores.write')
  const id = randomUUID()
  await inFirm(actor.firmId, (trx) => insertStockItem(trx, actor.firmId, id, input))
  return { id }
}

export async function changeStockItem(actor: Actor, id: string, version: number, input: StockItemInput): Promise<void> {
  assertMay(actor, 'stores.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findStockItem(trx, id))) throw notFound('item')
    await updateStockItem(trx, id, version, input)
  })
}

/** Receives, takes out, or counts an item. */
export async function moveStock(actor: Actor, id: string, { move, amount, note }: StockMoveInput): Promise<void> {
  assertMay(actor, 'stores.move')
  await inFirm(actor.firmId, async (trx) => {
    await trx('stock_items').where({ id }).forUpdate().first('id')
    const item = await findStockItem(trx, id)
    if (!item) throw notFound('item')
    const change = () => {
      if (move === 'received') return amount
      if (move === 'used') return -amount
      return amount - item.onHand
    }
    const by = change()
    if (by !== 0)
      await insertMoves(trx, actor.firmId, actor.userId, [{ itemId: id, amount: by, move, note, visitId: null }])
  })
}
