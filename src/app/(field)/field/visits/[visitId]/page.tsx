import type { Metadata } from 'next'
import { VisitId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { fieldVisit } from '@/server/use-cases/field'
import { VisitSheet } from '@/ui/field/visit-sheet'

export const metadata: Metadata = { title: 'Visit' }

export default async function FieldVisitPage({ params }: { params: Promise<{ visitId: string }> }) {
  const id = idFrom(VisitId, (await params).visitId)
  return <VisitSheet data={await forPage((actor) => fieldVisit(actor, id))} />
}
