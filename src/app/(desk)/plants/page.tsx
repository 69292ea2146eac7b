import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { allPlants } from '@/server/plants/all-plants'
import { AllPlantsView } from '@/ui/plants/all-plants-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.plants') }

export default async function PlantsPage() {
  return <AllPlantsView data={await forPage(allPlants)} />
}
