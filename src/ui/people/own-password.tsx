'use client'
import { OwnPasswordInput } from '@/domain/people/people'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

const EMPTY = { current: '', next: '' }

/** The own password; other devices are signed out by it. */
export function OwnPassword() {
  const t = useTexts()

  const { form, field, submit, problem, saved, sending } = useSchemaForm({ schema: OwnPasswordInput, values: EMPTY })
  return (
    <form
      className="sheet"
      method="post"
      noValidate
      onSubmit={submit(
        (body) => send('POST', '/api/v1/password', body),
        () => form.reset(EMPTY),
      )}
    >
      <h2>{t('people.ownPassword.yourPassword')}</h2>
      <TextField
        label={t('people.ownPassword.passwordNow')}
        type="password"
        autoComplete="current-password"
        {...field('current')}
      />
      <TextField
        label={t('people.ownPassword.newPassword')}
        type="password"
        autoComplete="new-password"
        {...field('next')}
      />
      <ProblemNote problem={problem} />
      <p role="status" className="soft small mb-1">
        {saved ? t('people.ownPassword.savedYourOtherDevices') : ''}
      </p>
      <button className="btn btn-sm btn-primary mt-2" disabled={sending}>
        {t('people.ownPassword.changePassword')}
      </button>
    </form>
  )
}
