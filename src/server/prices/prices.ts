import type { PriceBook } from '@/core/pricing/price-book'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findHouseTables, storeHouseTables } from '@/server/house-rules/house-tables-repository'
import { findPriceBook, storePriceBook } from '@/server/prices/price-repository'
import { listFirmPumps, removeFirmPump, storeFirmPumps } from '@/server/prices/pump-repository'
import type { HouseTables } from '@/domain/house-rules/house-tables'
import { badField, notFound } from '@/domain/shared/problems'
import { readPumpCsv, type PumpCsvOutcome } from '@/domain/prices/pump-csv'
import { readPriceCsv, type PriceCsvOutcome } from '@/domain/prices/price-csv'

export async function priceBook(actor: Actor) {
  assertMay(actor, 'prices.read')
  return inFirm(actor.firmId, findPriceBook)
}

export async function setPriceBook(actor: Actor, version: number, book: PriceBook): Promise<void> {
  assertMay(actor, 'prices.write')
  await inFirm(actor.firmId, (trx) => storePriceBook(trx, actor.firmId, book, version))
}

/** Prices from a CSV: rows that read well change their lines, the others are named. */
export async function importPrices(actor: Actor, csv: string): Promise<Omit<PriceCsvOutcome, 'book'>> {
  assertMay(actor, 'prices.write')
  return inFirm(actor.firmId, async (trx) => {
    const kept = await findPriceBook(trx)
    const { book, ...outcome } = readPriceCsv(csv, kept.book)
    if (outcome.changed > 0) await storePriceBook(trx, actor.firmId, book, kept.version)
    return outcome
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
      throw badField(
        'tables.fittings',
        `“${gone.name}” is used by saved designs and cannot be taken out. Change its name or K instead.`,
      )
    await storeHouseTables(trx, actor.firmId, tables, version)
  })
}

export async function firmPumps(actor: Actor) {
  assertMay(actor, 'prices.read')
  return inFirm(actor.firmId, listFirmPumps)
}

/** Pumps from a CSV of curve points: whole pumps that read well are kept, bad rows are named. */
export async function importPumps(
  actor: Actor,
  csv: string,
): Promise<Omit<PumpCsvOutcome, 'pumps'> & { kept: number }> {
  assertMay(actor, 'prices.write')
  const { pumps, ...outcome } = readPumpCsv(csv)
  await inFirm(actor.firmId, (trx) => storeFirmPumps(trx, actor.firmId, pumps))
  return { ...outcome, kept: pumps.length }
}

export async function dropPump(actor: Actor, pumpId: string): Promise<void> {
  assertMay(actor, 'prices.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await removeFirmPump(trx, pumpId))) throw notFound('That pump')
  })
}
