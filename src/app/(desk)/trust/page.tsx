import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { trustPage } from '@/server/trust/trust-page'
import { TrustView } from '@/ui/trust/trust-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.trust') }

export default async function TrustPage() {
  return <TrustView data={await forPage(trustPage)} />
}
