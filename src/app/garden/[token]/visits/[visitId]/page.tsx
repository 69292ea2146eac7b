import type { Metadata } from 'next'
import { VisitId } from '@/domain/ids'
import { whenReachable } from '@/server/http/page-actor'
import { idFrom } from '@/server/http/page-id'
import { gardenReport } from '@/server/use-cases/customer-page'
import { AsCustomer } from '@/ui/garden/as-customer'
import { GardenReport } from '@/ui/garden/garden-report'

export const metadata: Metadata = { title: 'Report', robots: { index: false } }

/** The report of one of the customer's own visits. */
export default async function GardenReportPage({ params }: { params: Promise<{ token: string; visitId: string }> }) {
  const { token, visitId } = await params
  const id = idFrom(VisitId, visitId)
  const page = await whenReachable(() => gardenReport(token, id))
  return (
    <AsCustomer name="" firmName={page.firmName} timeZone={page.timeZone}>
      <GardenReport page={page} token={token} />
    </AsCustomer>
  )
}
