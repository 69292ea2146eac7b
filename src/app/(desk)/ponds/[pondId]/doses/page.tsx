import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { dosesPage } from '@/server/water/doses'
import { DosesView } from '@/ui/water/doses-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.dosesAndWaterChanges') }

export default async function DosesPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <DosesView data={await forPage((actor) => dosesPage(actor, id))} />
}
