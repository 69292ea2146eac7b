import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { exchangePage } from '@/server/use-cases/exchange/page'
import { ExchangeView } from '@/ui/exchange/exchange-view'

export const metadata: Metadata = { title: 'Exchange' }

export default async function ExchangePage() {
  return <ExchangeView data={await forPage(exchangePage)} />
}
