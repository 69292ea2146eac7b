import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { wantedSheets } from '@/server/use-cases/cutting'
import { CuttingView } from '@/ui/cutting/cutting-view'

export const metadata: Metadata = { title: 'Cut sheets from rolls' }

export default async function CuttingPage() {
  return <CuttingView sheets={await forPage(wantedSheets)} />
}
