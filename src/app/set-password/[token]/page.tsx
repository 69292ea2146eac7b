import { firmTexts } from '@/messages/texts'
import type { Metadata } from 'next'
import { whenReachable } from '@/server/platform/http/page-actor'
import { passwordLink } from '@/server/people/people'
import { SetPasswordForm } from '@/ui/people/set-password-form'

export const metadata: Metadata = { title: firmTexts()('shell.pages.newPassword') }

export default async function SetPasswordPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const { email } = await whenReachable(() => passwordLink(token))
  return <SetPasswordForm token={token} email={email} />
}
