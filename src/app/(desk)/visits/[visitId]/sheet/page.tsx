import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { VisitId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { paperSheet } from '@/server/field/pack'
import { PaperSheet } from '@/ui/visits/paper-sheet'

export const metadata: Metadata = { title: firmTexts()('shell.pages.fieldSheetToPrint') }

export default async function PaperSheetPage({ params }: { params: Promise<{ visitId: string }> }) {
  const id = idFrom(VisitId, (await params).visitId)
  return <PaperSheet {...await forPage((actor) => paperSheet(actor, id))} />
}
