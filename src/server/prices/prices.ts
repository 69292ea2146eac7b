import type { PriceBook } from '@/core/pricing/price-book'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findHouseTables, storeHouseTables } from '@/server/house-rules/house-tables-repository'
import { findPriceBook, storePriceBook } from '@/server/prices/price-repository'
import { listFirmPumps, removeFirmPump, storeFirmPumps } from '@/server/prices/pump-repository'
import type { HouseTables } from '@/domain/house-rules/house-tables'
import { badField, notFound } from '@/domain/shared/problems'
import { readPumpCsv } from '@/domain/prices/pump-csv'
import { readPriceCsv } from '@/domain/prices/price-csv'
import { said } from '@/domain/shared/said'
import { rowProblemsInWords, type RowProblemWords } from '@/messages/problem-body'
import { firmTexts } from '@/messages/texts'

export async function priceBook(actor: Actor) {
  assertMay(actor, 'prices.read')
  return inFirm(actor.firmId, findPriceBook)
}

export async function setPriceBook(actor: Actor, version: number, book: PriceBook): Promise<void> {
  assertMay(actor, 'prices.write')
  await inFirm(actor.firmId, (trx) => storePriceBook(trx, actor.firmId, book, version))
}

/** Prices from a CSV: rows that read well change their lines, the others are named. */
export async function importPrices(
  actor: Actor,
  csv: string,
): Promise<{ changed: number; problems: RowProblemWords[] }> {
  assertMay(actor, 'prices.write')
  return inFirm(actor.firmId, async (trx) => {
    const kept = await findPriceBook(trx)
    const { book, changed, problems } = readPriceCsv(csv, kept.book)
    if (changed > 0) await storePriceBook(trx, actor.firmId, book, kept.version)
    return { changed, problems: rowProblemsInWords(problems, firmTexts()) }
  })
}

export async function houseTables(actor: Actor) {
  assertMay(actor, 'ponds.read')
  return inFirm(actor.firmId, findHouseTables)
}

/** Changes the firm's fittings and pipes. Rows of fittings stay: saved designs count them. */
export async function setHouseTables(actor: Actor, version: number, tables: HouseTables): Promise<void> {
  assertMay(actor, 'prices.write')
  await inFirm(actor.firmId, async (trx) => {
    const kept = await findHouseTables(trx)
    const gone = kept.tables.fittings.find((row) => !tables.fittings.some((now) => now.key === row.key))
    if (gone)
      throw badField('tables.fittings', said('prices.problems.usedSavedDesignsCannotTaken', { name: gone.name }))
    await storeHouseTables(trx, actor.firmId, tables, version)
  })
}

export async function firmPumps(actor: Actor) {
  assertMay(actor, 'prices.read')
  return inFirm(actor.firmId, listFirmPumps)
}

/** Pumps from a CSV of curve points: whole pumps that read well are kept, bad rows are named. */
export async function importPumps(actor: Actor, csv: string): Promise<{ kept: number; problems: RowProblemWords[] }> {
  assertMay(actor, 'prices.write')
  const { pumps, problems } = readPumpCsv(csv)
  await inFirm(actor.firmId, (trx) => storeFirmPumps(trx, actor.firmId, pumps))
  return { kept: pumps.length, problems: rowProblemsInWords(problems, firmTexts()) }
}

export async function dropPump(actor: Actor, pumpId: string): Promise<void> {
  assertMay(actor, 'prices.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await removeFirmPump(trx, pumpId))) throw notFound('pump')
  })
}
