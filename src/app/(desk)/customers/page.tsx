import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { customersPage } from '@/server/customers/customers'
import { CustomersView } from '@/ui/customers/customers-view'

export const metadata: Metadata = { title: 'Customers' }

export default async function CustomersPage() {
  return <CustomersView data={await forPage(customersPage)} />
}
