'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'
import { Door } from './door'

/** Sets a new password by a private link. */
export function SetPasswordForm({ token, email }: { token: string; email: string }) {
  const t = useTexts()

  const [password, setPassword] = useState('')
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const save = async () => {
    const outcome = await send('POST', `/api/v1/password-links/${token}`, { password })
    if (outcome.ok) window.location.assign('/sign-in')
    else setProblem(outcome.problem)
  }
  return (
    <Door title={t('people.setPasswordForm.newPassword')}>
      <form
        method="post"
        className="d-grid gap-2"
        onSubmit={(e) => {
          e.preventDefault()
          void save()
        }}
      >
        <p className="soft small mb-0">{t('people.setPasswordForm.allDevicesAccountSigned', { email })}</p>
        <TextField
          label={t('people.setPasswordForm.newPassword')}
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={(e) => setPassword(e.target.value)}
          error={problem?.fields?.find((f) => f.path === 'password')?.message}
        />
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1">{t('people.setPasswordForm.savePassword')}</button>
      </form>
    </Door>
  )
}
