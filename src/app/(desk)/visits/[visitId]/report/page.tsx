import type { Metadata } from 'next'
import { VisitId } from '@/domain/ids'
import { forPage } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { visitReport } from '@/server/use-cases/report'
import { ReportView } from '@/ui/report/report-view'

export const metadata: Metadata = { title: 'Visit report' }

export default async function ReportPage({ params }: { params: Promise<{ visitId: string }> }) {
  const id = idFrom(VisitId, (await params).visitId)
  return <ReportView page={await forPage((actor) => visitReport(actor, id))} />
}
