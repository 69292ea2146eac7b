import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { currentActor, whenReachable } from '@/server/http/page-actor'
import { hasFirms } from '@/server/use-cases/firm'
import { SignInForm } from '@/ui/account/sign-in-form'

export const metadata: Metadata = { title: 'Sign in' }

export default async function SignInPage() {
  if (await whenReachable(currentActor)) redirect('/')
  if (!(await whenReachable(hasFirms))) redirect('/welcome')
  return <SignInForm />
}
