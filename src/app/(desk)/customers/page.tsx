import type { Metadata } from 'next'
import { forPage } from '@/server/http/page-actor'
import { customersPage } from '@/server/use-cases/customers'
import { CustomersView } from '@/ui/customers/customers-view'

export const metadata: Metadata = { title: 'Customers' }

export default async function CustomersPage() {
  return <CustomersView data={await forPage(customersPage)} />
}
