import type { Metadata } from 'next'
import { PondId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { diagnosisPage } from '@/server/use-cases/lab/diagnosis'
import { DiagnosisView } from '@/ui/lab/diagnosis-view'

export const metadata: Metadata = { title: 'What is wrong' }

export default async function DiagnosisPage({ params }: { params: Promise<{ pondId: string }> }) {
  const id = idFrom(PondId, (await params).pondId)
  return <DiagnosisView data={await forPage((actor) => diagnosisPage(actor, id))} />
}
