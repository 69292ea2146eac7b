import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { forPage } from '@/server/platform/http/page-actor'
import { customerList } from '@/server/customers/customers'
import { CustomerList } from '@/ui/customers/customer-list'

export const metadata: Metadata = { title: firmTexts()('shell.pages.customers') }

export default async function CustomersPage() {
  return <CustomerList customers={await forPage(customerList)} />
}
