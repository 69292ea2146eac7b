'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'
import { Door } from './door'

export function SignInForm() {
  const t = useTexts()

  const { register, handleSubmit, formState } = useForm({ defaultValues: { email: '', password: '' } })
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const submit = handleSubmit(async (input) => {
    const outcome = await send('POST', '/api/v1/sign-in', input)
    if (outcome.ok) window.location.assign('/')
    else setProblem(outcome.problem)
  })
  return (
    <Door title={t('people.signInForm.sign')}>
      <form method="post" onSubmit={submit} className="d-grid gap-2">
        <TextField
          label={t('people.signInForm.eMail')}
          type="email"
          autoComplete="username"
          required
          {...register('email')}
        />
        <TextField
          label={t('people.signInForm.password')}
          type="password"
          autoComplete="current-password"
          required
          {...register('password')}
        />
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1" disabled={formState.isSubmitting}>
          {t('people.signInForm.sign')}
        </button>
      </form>
    </Door>
  )
}
