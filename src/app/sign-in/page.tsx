import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { currentActor, whenReachable } from '@/server/platform/http/page-actor'
import { hasFirms } from '@/server/platform/auth/has-firms'
import { SignInForm } from '@/ui/people/sign-in-form'

export const metadata: Metadata = { title: firmTexts()('shell.pages.signIn') }

export default async function SignInPage() {
  if (await whenReachable(currentActor)) redirect('/')
  if (!(await whenReachable(hasFirms))) redirect('/welcome')
  return <SignInForm />
}
