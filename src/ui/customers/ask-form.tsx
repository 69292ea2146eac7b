'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { CheckField } from '@/ui/kit/check-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'

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

  const [text, setText] = useState('')
  const [from, setFrom] = useState('')
  const [urgent, setUrgent] = useState(false)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [asked, setAsked] = useState<readonly string[]>(already)
  const ask = async () => {
    const outcome = await send('POST', `/api/v1/customer-page/${token}/requests`, {
      pondId,
      text,
      from: from === '' ? null : from,
      urgent,
    })
    setProblem(outcome.ok ? null : outcome.problem)
    if (!outcome.ok) return
    setAsked([...asked, text])
    setText('')
    setFrom('')
    setUrgent(false)
  }
  return (
    <details className="my-2">
      <summary className="btn btn-outline-primary customer-page-ask">{t('customers.askForm.askVisit')}</summary>
      <form
        className="mt-2"
        onSubmit={(e) => {
          e.preventDefault()
          void ask()
        }}
      >
        <TextField
          label={t('customers.askForm.whatDoYouNeed')}
          value={text}
          onChange={(e) => setText(e.target.value)}
          error={problem?.fields?.find((f) => f.path === 'text')?.message}
        />
        <TextField
          label={t('customers.askForm.notBeforeMayStay')}
          type="date"
          min={today}
          value={from}
          onChange={(e) => setFrom(e.target.value)}
        />
        <CheckField label={t('customers.askForm.urgentFishTroubleWater')} checked={urgent} onChange={setUrgent} />
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-2">{t('customers.askForm.send', { firmName })}</button>
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
