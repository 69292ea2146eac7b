import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { forecastsPage } from '@/server/forecasts/forecasts'
import { ForecastsView } from '@/ui/forecasts/forecasts-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.forecasts') }

export default async function WaterLabPage() {
  return <ForecastsView data={await forPage(forecastsPage)} />
}
