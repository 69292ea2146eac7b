import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { pondEquipment } from '@/server/ponds/pond-pages'
import { EquipmentTab } from '@/ui/ponds/workspace/equipment-tab'

export const metadata: Metadata = { title: firmTexts()('shell.pages.pondEquipment') }

export default async function Page({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <EquipmentTab data={await forPage((actor) => pondEquipment(actor, id))} />
}
