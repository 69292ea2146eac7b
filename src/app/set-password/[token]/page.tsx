import type { Metadata } from 'next'
import { whenReachable } from '@/server/http/page-actor'
import { passwordLink } from '@/server/use-cases/people'
import { SetPasswordForm } from '@/ui/account/set-password-form'

export const metadata: Metadata = { title: 'New password' }

export default async function SetPasswordPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const { email } = await whenReachable(() => passwordLink(token))
  return <SetPasswordForm token={token} email={email} />
}
