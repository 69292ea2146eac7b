'use client'
import { z } from 'zod'
import { NewPassword } from '@/domain/people/people'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { Door } from './door'

const Body = z.strictObject({ password: NewPassword })

/** Sets a new password by a private link. */
export function SetPasswordForm({ token, email }: { token: string; email: string }) {
  const t = useTexts()

  const { field, submit, problem, sending } = useSchemaForm({ schema: Body, values: { password: '' } })
  return (
    <Door title={t('people.setPasswordForm.newPassword')}>
      <form
        method="post"
        noValidate
        className="d-grid gap-2"
        onSubmit={submit(
          (body) => send('POST', `/api/v1/password-links/${token}`, body),
          () => window.location.assign('/sign-in'),
        )}
      >
        <p className="soft small mb-0">{t('people.setPasswordForm.allDevicesAccountSigned', { email })}</p>
        <TextField
          label={t('people.setPasswordForm.newPassword')}
          type="password"
          autoComplete="new-password"
          {...field('password')}
        />
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1" disabled={sending}>
          {t('people.setPasswordForm.savePassword')}
        </button>
      </form>
    </Door>
  )
}
