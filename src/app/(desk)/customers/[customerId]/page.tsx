import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { CustomerId } from '@/domain/shared/ids'
import { forPage } from '@/server/platform/http/page-actor'
import { idFrom } from '@/server/platform/http/page-id'
import { customerOnFile } from '@/server/customers/customers'
import { CustomerView } from '@/ui/customers/customer-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.customer') }

export default async function CustomerPage({ params }: { params: Promise<{ customerId: string }> }) {
  const id = idFrom(CustomerId, (await params).customerId)
  return <CustomerView data={await forPage((actor) => customerOnFile(actor, id))} />
}
