import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { waterLab } from '@/server/use-cases/lab/forecasts'
import { WaterLabView } from '@/ui/lab/water-lab-view'

export const metadata: Metadata = { title: 'Water lab' }

export default async function WaterLabPage() {
  return <WaterLabView data={await forPage(waterLab)} />
}
