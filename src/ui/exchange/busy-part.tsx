'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { ChoiceField } from '@/ui/kit/choice-field'
import { FileButton } from '@/ui/kit/file-button'
import { ProblemNote } from '@/ui/kit/problem-note'
import { sendFile } from '@/ui/send'
import type { ExchangeData } from '@/server/exchange/exchange-page'
import { useRemoval } from '@/ui/use-removal'
import { useSave } from '@/ui/use-save'

/** Busy times of crews out of .ics files: no visit is planned into them. */
export function BusyPart({ data }: { data: ExchangeData }) {
  const t = useTexts()

  const [crewId, setCrewId] = useState(data.crews[0]?.id ?? '')
  const { problem, ask } = useSave()
  const removal = useRemoval()
  const [said, setSaid] = useState('')
  const nameOf = (id: string) => data.crews.find((c) => c.id === id)?.name ?? ''
  const read = async (text: string, fileName: string) => {
    const answer = await ask(
      sendFile<{ times: number; problems: string[] }>(
        `/api/v1/crews/${crewId}/busy?source=${encodeURIComponent(fileName)}`,
        new Blob([text]),
      ),
    )
    if (!answer) return
    setSaid(
      [t('exchange.busyPart.busyTimesRead', { times: answer.times, crewId: nameOf(crewId) }), ...answer.problems].join(
        ' ',
      ),
    )
  }
  const forget = (crewOfThem: string, source: string) =>
    removal.removeForGood({
      path: `/api/v1/crews/${crewOfThem}/busy`,
      body: { source },
      words: t('exchange.busyPart.timesAreForgotten', { crew: nameOf(crewOfThem), source }),
      goOn: t('exchange.busyPart.forget2'),
    })
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
      <ProblemNote problem={problem ?? removal.problem} />
      <p role="status" className="mb-1 mt-1">
        {said}
      </p>
      <ul className="plain-list">
        {data.busy.map((b) => (
          <li key={`${b.crewId} ${b.source}`} className="d-flex flex-wrap gap-2 align-items-baseline">
            <strong>{nameOf(b.crewId)}</strong> {b.source}
            <span className="soft small">
              {t('exchange.busyPart.comeNext', { times: b.times, next: t.shortDate(b.next) })}
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
