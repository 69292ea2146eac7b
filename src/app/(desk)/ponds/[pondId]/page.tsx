import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { todayIn } from '@/server/platform/today'
import { pondPage } from '@/server/ponds/ponds'
import { PondView } from '@/ui/ponds/pond-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.pond') }

export default async function PondPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  const { data, today } = await forPage(async (actor) => ({
    data: await pondPage(actor, id),
    today: todayIn(actor.timeZone),
  }))
  return <PondView data={data} today={today} />
}
