import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { firmPumps, houseTables, priceBook } from '@/server/prices/prices'
import { PricesView } from '@/ui/prices/prices-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.pricesAndPumps') }

export default async function PricesPage() {
  const { kept, pumps, tables } = await forPage(async (actor) => ({
    kept: await priceBook(actor),
    pumps: await firmPumps(actor),
    tables: await houseTables(actor),
  }))
  return <PricesView kept={kept} pumps={pumps} tables={tables} />
}
