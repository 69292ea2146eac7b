'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { shortDate } from '@/domain/shared/dates'
import { ChoiceField } from '@/ui/kit/choice-field'
import { FileButton } from '@/ui/kit/file-button'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send, sendFile, type SendProblem } from '@/ui/send'
import type { ExchangeData } from './exchange-view'

/** Busy times of crews out of .ics files: no visit is planned into them. */
export function BusyPart({ data }: { data: ExchangeData }) {
  const t = useTexts()

  const router = useRouter()
  const [crewId, setCrewId] = useState(data.crews[0]?.id ?? '')
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [said, setSaid] = useState('')
  const nameOf = (id: string) => data.crews.find((c) => c.id === id)?.name ?? ''
  const read = async (text: string, fileName: string) => {
    const outcome = await sendFile<{ times: number; problems: string[] }>(
      `/api/v1/crews/${crewId}/busy?source=${encodeURIComponent(fileName)}`,
      new Blob([text]),
    )
    setProblem(outcome.ok ? null : outcome.problem)
    if (!outcome.ok) return
    setSaid(
      [
        t('exchange.busyPart.busyTimesRead', { times: outcome.value.times, crewId: nameOf(crewId) }),
        ...outcome.value.problems,
      ].join(' '),
    )
    router.refresh()
  }
  const forget = async (crew: string, source: string) => {
    const outcome = await send('DELETE', `/api/v1/crews/${crew}/busy`, { source })
    setProblem(outcome.ok ? null : outcome.problem)
    if (outcome.ok) router.refresh()
  }
  if (data.crews.length === 0) return null
  return (
    <section className="sheet">
      <h2>{t('exchange.busyPart.busyTimesCrews')}</h2>
      <p className="soft">{t('exchange.busyPart.coursesSchoolRunsHolidays')}</p>
      <div className="d-flex flex-wrap gap-2 align-items-end">
        <ChoiceField
          label={t('exchange.busyPart.crew')}
          value={crewId}
          onChange={(e) => setCrewId(e.target.value as typeof crewId)}
          options={data.crews.map((c) => ({ value: c.id, label: c.name }))}
        />
        <FileButton
          label={t('exchange.busyPart.readIcsFile')}
          accept=".ics,text/calendar"
          onText={(text, name) => void read(text, name)}
          onTooLarge={() => setSaid(t('exchange.busyPart.fileLargerThan0'))}
        />
      </div>
      <ProblemNote problem={problem} />
      <p role="status" className="mb-1 mt-1">
        {said}
      </p>
      <ul className="plain-list">
        {data.busy.map((b) => (
          <li key={`${b.crewId} ${b.source}`} className="d-flex flex-wrap gap-2 align-items-baseline">
            <strong>{nameOf(b.crewId)}</strong> {b.source}
            <span className="soft small">
              {t('exchange.busyPart.comeNext', { times: b.times, next: shortDate(b.next) })}
            </span>
            <button
              className="btn btn-sm btn-outline-secondary ms-auto"
              onClick={() => void forget(b.crewId, b.source)}
              aria-label={t('exchange.busyPart.forget', { source: b.source, crewId: nameOf(b.crewId) })}
            >
              {t('exchange.busyPart.forget2')}
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
