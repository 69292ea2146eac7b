import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { storesPage } from '@/server/stores/stores'
import { StoresView } from '@/ui/stores/stores-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.stores') }

export default async function StoresPage() {
  return <StoresView data={await forPage(storesPage)} />
}
