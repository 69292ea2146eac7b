import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { VisitId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { visitReport } from '@/server/visits/report'
import { ReportView } from '@/ui/visits/report-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.visitReport') }

export default async function ReportPage({ params }: { params: Promise<{ visitId: string }> }) {
  const id = idFrom(VisitId, (await params).visitId)
  return <ReportView page={await forPage((actor) => visitReport(actor, id))} />
}
