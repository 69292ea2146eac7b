import type { Metadata } from 'next'
import { PondId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { dosesPage } from '@/server/use-cases/doses'
import { DosesView } from '@/ui/water/doses-view'

export const metadata: Metadata = { title: 'Doses and changes' }

export default async function DosesPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <DosesView data={await forPage((actor) => dosesPage(actor, id))} />
}
