import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondWater } from '@/server/ponds/pond-pages'
import { WaterTab } from '@/ui/ponds/workspace/water-tab'

export const metadata: Metadata = { title: firmTexts()('shell.pages.waterTests') }

export default async function Page({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <WaterTab data={await forPage((actor) => pondWater(actor, id))} />
}
