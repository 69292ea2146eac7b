import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { firmPumps, priceBook } from '@/server/use-cases/prices'
import { PricesView } from '@/ui/prices/prices-view'

export const metadata: Metadata = { title: 'Prices and pumps' }

export default async function PricesPage() {
  const { kept, pumps } = await forPage(async (actor) => ({ kept: await priceBook(actor), pumps: await firmPumps(actor) }))
  return <PricesView kept={kept} pumps={pumps} />
}
