'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import type { ReportPage } from '@/server/visits/report'
import { ReportView } from '@/ui/visits/report-view'

/** A visit's report as the customer reads it. */
export function CustomerReport({ page, token }: { page: ReportPage; token: string }) {
  const t = useTexts()

  return (
    <>
      <p className="no-print">
        <Link href={`/customer-page/${token}`} className="back-link">
          {t('customers.customerReport.allYourPonds')}
        </Link>
      </p>
      <ReportView page={page} customerPage={{ photos: `/api/v1/customer-page/${token}/photos` }} />
    </>
  )
}
