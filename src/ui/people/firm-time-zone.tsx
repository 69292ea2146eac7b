'use client'
import { z } from 'zod'
import { TimeZone } from '@/domain/people/people'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useTexts } from '@/ui/kit/texts'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'

const Body = z.strictObject({ timeZone: TimeZone })

/** The zone that every day of the firm is counted in. */
export function FirmTimeZone() {
  const t = useTexts()

  const { timeZone } = usePerson()
  const { field, submit, problem, sending } = useSchemaForm({ schema: Body, values: { timeZone } })
  return (
    <form
      className="sheet"
      method="post"
      noValidate
      onSubmit={submit((body) => send('PUT', '/api/v1/firm/time-zone', body))}
    >
      <h2>{t('people.firmTimeZone.timeZone')}</h2>
      <p className="soft small mb-1">{t('people.firmTimeZone.daysWindowsTodayThose')}</p>
      <TextField label={t('people.firmTimeZone.timeZoneFirm')} {...field('timeZone')} />
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary mt-2" disabled={sending}>
        {t('people.firmTimeZone.saveTimeZone')}
      </button>
    </form>
  )
}
