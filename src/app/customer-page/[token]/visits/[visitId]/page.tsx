import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { VisitId } from '@/domain/shared/ids'
import { whenReachable } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { customerReport } from '@/server/customers/customer-page'
import { AsCustomer } from '@/ui/customers/as-customer'
import { CustomerReport } from '@/ui/customers/customer-report'

export const metadata: Metadata = { title: firmTexts()('shell.pages.visitReport'), robots: { index: false } }

/** The report of one of the customer's own visits. */
export default async function CustomerReportPage({ params }: { params: Promise<{ token: string; visitId: string }> }) {
  const { token, visitId } = await params
  const id = idFrom(VisitId, visitId)
  const page = await whenReachable(() => customerReport(token, id))
  return (
    <AsCustomer name="" firmName={page.firmName} timeZone={page.timeZone}>
      <CustomerReport page={page} token={token} />
    </AsCustomer>
  )
}
