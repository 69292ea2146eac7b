import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { wantedSheets } from '@/server/design/cutting'
import { CuttingView } from '@/ui/design/cutting/cutting-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.linerCuttingPlan') }

export default async function CuttingPage() {
  return <CuttingView sheets={await forPage(wantedSheets)} />
}
