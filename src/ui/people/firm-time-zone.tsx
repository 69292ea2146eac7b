'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { send, type SendProblem } from '@/ui/send'

/** The zone that every day of the firm is counted in. */
export function FirmTimeZone() {
  const t = useTexts()

  const router = useRouter()
  const { timeZone } = usePerson()
  const [zone, setZone] = useState(timeZone)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const save = async () => {
    const outcome = await send('PUT', '/api/v1/firm/time-zone', { timeZone: zone })
    setProblem(outcome.ok ? null : outcome.problem)
    if (outcome.ok) router.refresh()
  }
  return (
    <form
      className="sheet"
      method="post"
      onSubmit={(e) => {
        e.preventDefault()
        void save()
      }}
    >
      <h2>{t('people.firmTimeZone.timeZone')}</h2>
      <p className="soft small mb-1">{t('people.firmTimeZone.daysWindowsTodayThose')}</p>
      <TextField
        label={t('people.firmTimeZone.timeZoneFirm')}
        value={zone}
        onChange={(e) => setZone(e.target.value)}
        error={problem?.fields?.find((f) => f.path === 'timeZone')?.message}
      />
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary mt-2">{t('people.firmTimeZone.saveTimeZone')}</button>
    </form>
  )
}
