'use client'
import { FirstFirmInput } from '@/domain/people/people'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { Door } from './door'

export function FirstFirmForm() {
  const t = useTexts()

  const { field, submit, problem, sending } = useSchemaForm({
    schema: FirstFirmInput,
    values: {
      firmName: '',
      ownerName: '',
      email: '',
      password: '',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    },
  })
  return (
    <Door title={t('people.firstFirmForm.openYourFirm')}>
      <p className="soft small">{t('people.firstFirmForm.nothingHereYetWhoever')}</p>
      <form
        method="post"
        noValidate
        onSubmit={submit(
          (body) => send('POST', '/api/v1/first-firm', body),
          () => window.location.assign('/'),
        )}
        className="d-grid gap-2"
      >
        <TextField label={t('people.firstFirmForm.firmName')} {...field('firmName')} />
        <TextField label={t('people.firstFirmForm.yourName')} autoComplete="name" {...field('ownerName')} />
        <TextField label={t('people.firstFirmForm.eMail')} type="email" autoComplete="username" {...field('email')} />
        <TextField
          label={t('people.firstFirmForm.password')}
          type="password"
          autoComplete="new-password"
          {...field('password')}
        />
        <TextField label={t('people.firstFirmForm.timeZoneFirm')} {...field('timeZone')} />
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1" disabled={sending}>
          {t('people.firstFirmForm.openFirm')}
        </button>
      </form>
    </Door>
  )
}
