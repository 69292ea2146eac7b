import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { PondId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { diagnosisPage } from '@/server/diagnosis/diagnosis'
import { DiagnosisView } from '@/ui/diagnosis/diagnosis-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.diagnose') }

export default async function DiagnosisPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <DiagnosisView data={await forPage((actor) => diagnosisPage(actor, id))} />
}
