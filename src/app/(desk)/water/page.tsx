import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { waterLab } from '@/server/forecasts/forecasts'
import { WaterLabView } from '@/ui/forecasts/water-lab-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.forecasts') }

export default async function WaterLabPage() {
  return <WaterLabView data={await forPage(waterLab)} />
}
