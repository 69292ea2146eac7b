import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { exchangePage } from '@/server/exchange/exchange-page'
import { ExchangeView } from '@/ui/exchange/exchange-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.importAndExport') }

export default async function ExchangePage() {
  return <ExchangeView data={await forPage(exchangePage)} />
}
