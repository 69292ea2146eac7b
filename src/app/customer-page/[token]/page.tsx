import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { whenReachable } from '@/server/platform/http/page-actor'
import { customerPage } from '@/server/customers/customer-page'
import { AsCustomer } from '@/ui/customers/as-customer'
import { CustomerPageView } from '@/ui/customers/customer-page-view'

const title = firmTexts()('shell.pages.yourPonds')
// what a messenger shows of a private link tells nothing of whose it is
export const metadata: Metadata = { title, robots: { index: false }, openGraph: { title, type: 'website' } }

/** A customer's own page. No sign-in: the link's secret is the key. */
export default async function CustomerVisitsPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const found = await whenReachable(() => customerPage(token))
  return (
    <AsCustomer name={found.customerName} firmName={found.firmName} timeZone={found.timeZone}>
      <CustomerPageView customerPage={found} token={token} />
    </AsCustomer>
  )
}
