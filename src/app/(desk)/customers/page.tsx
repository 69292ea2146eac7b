import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { customersPage } from '@/server/customers/customers'
import { CustomersView } from '@/ui/customers/customers-view'

export const metadata: Metadata = { title: firmTexts()('shell.pages.customers') }

export default async function CustomersPage() {
  return <CustomersView data={await forPage(customersPage)} />
}
