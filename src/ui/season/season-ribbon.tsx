'use client'
import Link from 'next/link'
import { dayOfYear } from '@/core/numeric/calendar'
import type { WindowJob } from '@/core/season/practice'
import { shortDate } from '@/domain/dates'
import type { SeasonRow } from '@/server/use-cases/season-view'
import { waterColour } from '@/ui/drawing/water-colour'
import { JOB_NAMES } from '@/ui/messages/windows'
import { VISIT_STATE_NAMES } from '@/ui/messages/visits'
import { useShow } from '@/ui/person-context'

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const percentOf = (date: string) => ((dayOfYear(date) - 1) / 365) * 100

interface SeasonRibbonProps {
  readonly rows: readonly SeasonRow[]
  readonly year: number
  readonly today: string
  readonly job: WindowJob
}

/** One ribbon per pond. The weeks are one gradient, so that hundreds of rows stay light. */
export function SeasonRibbon({ rows, year, today, job }: SeasonRibbonProps) {
  const todayAt = today.startsWith(String(year)) ? percentOf(today) : null
  return (
    <div className="season sheet p-2" role="region" aria-label="Season ribbons" tabIndex={0} style={{ overflowX: 'auto' }}>
      <div style={{ minWidth: '56rem' }}>
        <div className="season-row">
          <span />
          <span className="season-year soft small">
            {MONTHS.map((m, i) => (
              <span key={m} style={{ position: 'absolute', left: `${percentOf(`${year}-${String(i + 1).padStart(2, '0')}-01`)}%` }}>
                {m}
              </span>
            ))}
          </span>
        </div>
        {rows.map((row) => (
          <Row key={row.id} row={row} job={job} todayAt={todayAt} />
        ))}
      </div>
    </div>
  )
}

function Row({ row, job, todayAt }: { row: SeasonRow; job: WindowJob; todayAt: number | null }) {
  const show = useShow()
  const window = row.windows.find((w) => w.job === job)
  const gradient = row.weeklyC?.map((c, week) => `${waterColour(c)} ${(week / 52) * 100}% ${((week + 1) / 52) * 100}%`).join(',')
  const from = window ? percentOf(window.earliest) : 0
  const to = window ? Math.max(from + 0.6, percentOf(window.latest)) : 0
  const warmest = row.weeklyC ? Math.max(...row.weeklyC) : null
  return (
    <div className="season-row">
      <Link href={`/ponds/${row.id}`} className="text-truncate" title={`${row.siteName}: ${row.name}, ${row.town}`}>
        {row.siteName} <span className="soft">{row.name}</span>
      </Link>
      <div
        className="season-year ribbon"
        style={{ background: gradient ? `linear-gradient(to right, ${gradient})` : undefined }}
        title={warmest === null ? 'No weather known yet' : `Warmest week ${show(warmest, 'temperature')}`}
      >
        {window ? (
          <>
            <span
              className="season-window"
              style={{ left: `${from}%`, width: `${to - from}%` }}
              title={`${JOB_NAMES[job]}: ${shortDate(window.earliest)} – ${shortDate(window.latest)}, best ${shortDate(window.best)}`}
            />
            <span className="season-best" style={{ left: `${percentOf(window.best)}%` }} />
          </>
        ) : null}
        {todayAt === null ? null : <span className="season-today" style={{ left: `${todayAt}%` }} />}
        {row.visits.map((v) => (
          <Link
            key={v.id}
            href={v.state === 'done' ? `/visits/${v.id}/report` : `/field/visits/${v.id}`}
            className="season-visit"
            style={{ left: `${percentOf(v.day)}%` }}
            aria-label={`${v.jobName} at ${v.siteName}, ${shortDate(v.day)}, ${v.crewName}, ${VISIT_STATE_NAMES[v.state]}`}
            title={`${v.jobName}, ${shortDate(v.day)}, ${v.crewName}, ${VISIT_STATE_NAMES[v.state]}`}
          >
            {v.state === 'done' ? '✓' : '●'}
          </Link>
        ))}
      </div>
    </div>
  )
}
