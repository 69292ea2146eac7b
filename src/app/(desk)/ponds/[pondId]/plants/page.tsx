import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondPlants } from '@/server/plants/pond-plants'
import { PondPlantsView } from '@/ui/plants/pond-plants-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.planting') }

export default async function PondPlantsPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <PondPlantsView data={await forPage((actor) => pondPlants(actor, id))} />
}
