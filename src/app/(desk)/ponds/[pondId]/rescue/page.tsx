import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { rescuePage } from '@/server/visits/rescue'
import { RescueForm } from '@/ui/visits/rescue-form'

export const metadata: Metadata = { title: firmTexts()('shell.pages.planARescue') }

export default async function RescuePage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <RescueForm data={await forPage((actor) => rescuePage(actor, id))} />
}
