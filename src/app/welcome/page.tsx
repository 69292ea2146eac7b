import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { whenReachable } from '@/server/platform/http/page-actor'
import { hasFirms } from '@/server/platform/auth/has-firms'
import { FirstFirmForm } from '@/ui/people/first-firm-form'

export const metadata: Metadata = { title: firmTexts()('shell.pages.setUpYourCompany') }
export const dynamic = 'force-dynamic'

export default async function WelcomePage() {
  if (await whenReachable(hasFirms)) redirect('/sign-in')
  return <FirstFirmForm />
}
