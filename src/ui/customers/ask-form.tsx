'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { CheckField } from '@/ui/kit/check-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { CustomerRequestInput } from '@/domain/customers/customer-request'

const NOTHING = { text: '', from: '', urgent: false }

interface AskFormProps {
  readonly pondId: string
  /** What was asked for before and is still open. */
  readonly already: readonly string[]
  readonly token: string
  readonly firmName: string
  readonly today: string
}

/** The customer asks for a visit. */
export function AskForm({ pondId, already, token, firmName, today }: AskFormProps) {
  const t = useTexts()

  const [asked, setAsked] = useState<readonly string[]>(already)
  const { form, field, control, submit, problem, sending } = useSchemaForm({
    schema: CustomerRequestInput,
    values: NOTHING,
    bodyOf: (request) => ({ ...request, pondId, from: request.from || null }),
  })
  const { value: urgent, onChange: setUrgent } = control('urgent')
  return (
    <details className="my-2">
      <summary className="btn btn-outline-primary customer-page-ask">{t('customers.askForm.askVisit')}</summary>
      <form
        className="mt-2"
        noValidate
        onSubmit={submit(
          (body) => send('POST', `/api/v1/customer-page/${token}/requests`, body),
          (_, { text }) => {
            setAsked([...asked, text])
            form.reset(NOTHING)
          },
        )}
      >
        <TextField label={t('customers.askForm.whatDoYouNeed')} {...field('text')} />
        <TextField label={t('customers.askForm.notBeforeMayStay')} type="date" min={today} {...field('from')} />
        <CheckField label={t('customers.askForm.urgentFishTroubleWater')} checked={urgent} onChange={setUrgent} />
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-2" disabled={sending}>
          {t('customers.askForm.send', { firmName })}
        </button>
      </form>
      {asked.length > 0 ? (
        <div role="status" className="mt-2">
          <strong>{t('customers.askForm.usAlready')}</strong>
          <ul className="mb-0">
            {asked.map((a) => (
              <li key={a}>{a}</li>
            ))}
          </ul>
        </div>
      ) : null}
    </details>
  )
}
