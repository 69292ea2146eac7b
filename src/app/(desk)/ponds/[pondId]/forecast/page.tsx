import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondOutlook } from '@/server/forecasts/forecasts'
import { OutlookView } from '@/ui/forecasts/outlook-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.forecast') }

export default async function OutlookPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <OutlookView data={await forPage((actor) => pondOutlook(actor, id))} />
}
