'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { FirstFirmInput } from '@/domain/people/people'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'
import { Door } from './door'
import { schemaResolver } from '@/ui/kit/schema-resolver'

export function FirstFirmForm() {
  const t = useTexts()

  const { register, handleSubmit, formState } = useForm({
    resolver: schemaResolver(FirstFirmInput, t),
    defaultValues: {
      firmName: '',
      ownerName: '',
      email: '',
      password: '',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    },
  })
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const { errors } = formState
  const submit = handleSubmit(async (input) => {
    const outcome = await send('POST', '/api/v1/first-firm', input)
    if (outcome.ok) window.location.assign('/')
    else setProblem(outcome.problem)
  })
  return (
    <Door title={t('people.firstFirmForm.openYourFirm')}>
      <p className="soft small">{t('people.firstFirmForm.nothingHereYetWhoever')}</p>
      <form method="post" onSubmit={submit} className="d-grid gap-2" noValidate>
        <TextField
          label={t('people.firstFirmForm.firmName')}
          error={errors.firmName?.message}
          {...register('firmName')}
        />
        <TextField
          label={t('people.firstFirmForm.yourName')}
          autoComplete="name"
          error={errors.ownerName?.message}
          {...register('ownerName')}
        />
        <TextField
          label={t('people.firstFirmForm.eMail')}
          type="email"
          autoComplete="username"
          error={errors.email?.message}
          {...register('email')}
        />
        <TextField
          label={t('people.firstFirmForm.password')}
          type="password"
          autoComplete="new-password"
          error={errors.password?.message}
          {...register('password')}
        />
        <TextField
          label={t('people.firstFirmForm.timeZoneFirm')}
          error={errors.timeZone?.message}
          {...register('timeZone')}
        />
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1" disabled={formState.isSubmitting}>
          {t('people.firstFirmForm.openFirm')}
        </button>
      </form>
    </Door>
  )
}
