import type { Metadata } from 'next'
import { PondId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { pondOutlook } from '@/server/use-cases/lab/forecasts'
import { OutlookView } from '@/ui/lab/outlook-view'

export const metadata: Metadata = { title: 'Outlook' }

export default async function OutlookPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <OutlookView data={await forPage((actor) => pondOutlook(actor, id))} />
}
