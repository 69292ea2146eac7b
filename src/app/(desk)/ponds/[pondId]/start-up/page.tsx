import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { whatIfPage } from '@/server/forecasts/what-ifs'
import { SettlingView } from '@/ui/forecasts/settling-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.newFilterStartUp') }

export default async function SettlingPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <SettlingView data={await forPage((actor) => whatIfPage(actor, id))} />
}
