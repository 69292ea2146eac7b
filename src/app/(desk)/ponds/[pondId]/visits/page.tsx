import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondVisits } from '@/server/ponds/pond-pages'
import { VisitsTab } from '@/ui/ponds/workspace/visits-tab'

export const metadata: Metadata = { title: firmTexts()('shell.pages.pondVisits') }

export default async function Page({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <VisitsTab data={await forPage((actor) => pondVisits(actor, id))} />
}
