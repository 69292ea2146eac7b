import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondOverview } from '@/server/ponds/pond-pages'
import { OverviewTab } from '@/ui/ponds/workspace/overview-tab'

export const metadata: Metadata = { title: firmTexts()('shell.pages.pond') }

export default async function PondPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <OverviewTab data={await forPage((actor) => pondOverview(actor, id))} />
}
