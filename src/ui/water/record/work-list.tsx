'use client'
import Link from 'next/link'
import { useTexts } from '@/ui/kit/texts'
import type { RecordMark } from './record-marks'

/** So many stand there at once; the rest is unfolded. */
const SHOWN = 6

/** What was done and is planned, newest first, each with its visit. */
export function WorkList({ marks, today }: { marks: readonly RecordMark[]; today: string }) {
  const t = useTexts()

  if (marks.length === 0) return null
  const line = ({ key, day, row, visitId, name }: RecordMark) => (
    <li key={key}>
      <span className={`record-mark ${row}`}>{t.datedDay(day)}</span>
      {row === 'planned' ? (
        <Link href={`/rounds?day=${day}`}>{name}</Link>
      ) : (
        <Link href={`/visits/${visitId}/report`}>{name}</Link>
      )}
      {row === 'planned' && day < today ? <span className="soft small">{t('water.record.notLogged')}</span> : null}
    </li>
  )
  return (
    <>
      <h3>{t('water.record.workDone')}</h3>
      <ul className="work-list plain-list">{marks.slice(0, SHOWN).map(line)}</ul>
      {marks.length > SHOWN ? (
        <details className="soft small">
          <summary>{t('water.record.earlier', { count: marks.length - SHOWN })}</summary>
          <ul className="work-list plain-list">{marks.slice(SHOWN).map(line)}</ul>
        </details>
      ) : null}
    </>
  )
}
