import type { Metadata } from 'next'
import { PondId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { rescuePage } from '@/server/use-cases/rescue'
import { RescueForm } from '@/ui/ponds/rescue-form'

export const metadata: Metadata = { title: 'Plan a rescue' }

export default async function RescuePage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <RescueForm data={await forPage((actor) => rescuePage(actor, id))} />
}
