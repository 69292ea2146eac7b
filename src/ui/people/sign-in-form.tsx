'use client'
import { SignInInput } from '@/domain/people/people'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { Door } from './door'

export function SignInForm() {
  const t = useTexts()

  const { field, submit, problem, sending } = useSchemaForm({
    schema: SignInInput,
    values: { email: '', password: '' },
  })
  return (
    <Door title={t('people.signInForm.sign')}>
      <form
        method="post"
        noValidate
        onSubmit={submit(
          (body) => send('POST', '/api/v1/sign-in', body),
          () => window.location.assign('/'),
        )}
        className="d-grid gap-2"
      >
        <TextField label={t('people.signInForm.eMail')} type="email" autoComplete="username" {...field('email')} />
        <TextField
          label={t('people.signInForm.password')}
          type="password"
          autoComplete="current-password"
          {...field('password')}
        />
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1" disabled={sending}>
          {t('people.signInForm.sign')}
        </button>
      </form>
    </Door>
  )
}
