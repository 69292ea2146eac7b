import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { whenReachable } from '@/server/http/page-actor'
import { hasFirms } from '@/server/use-cases/firm'
import { FirstFirmForm } from '@/ui/account/first-firm-form'

export const metadata: Metadata = { title: 'Open your firm' }
export const dynamic = 'force-dynamic'

export default async function WelcomePage() {
  if (await whenReachable(hasFirms)) redirect('/sign-in')
  return <FirstFirmForm />
}
