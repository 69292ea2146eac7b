'use client'
import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/shared/dates'
import { ChoiceField } from '@/ui/kit/choice-field'
import { FileButton } from '@/ui/kit/file-button'
import { ProblemNote } from '@/ui/kit/problem-note'
import { jobName } from '@/messages/en/planning'
import { sendFile, type SendProblem } from '@/ui/send'
import type { ExchangeData } from './exchange-view'

interface Outcome {
  readonly added?: number
  readonly changed?: number
  readonly same?: number
  readonly days?: number
  readonly rows?: readonly { readonly line: number; readonly name: string; readonly what: 'added' | 'changed' | 'same'; readonly fields: readonly string[] }[]
  /** Nothing has been written yet. */
  readonly preview?: boolean
  readonly problems: readonly { readonly line: number; readonly message: string }[]
}

/** Tables and maps of sites, service plans, visits and weather. */
export function FilePart({ data }: { data: ExchangeData }) {
  const router = useRouter()
  const [stationId, setStationId] = useState(data.stations[0]?.id ?? '')
  const [outcome, setOutcome] = useState<{ what: string; result: Outcome; takeOver?: () => Promise<void> } | null>(null)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const read = (what: string, path: string) => async (text: string) => {
    const answer = await sendFile<Outcome>(path, new Blob([text]))
    setProblem(answer.ok ? null : answer.problem)
    setOutcome(answer.ok ? { what, result: answer.value } : null)
    if (answer.ok) router.refresh()
  }
  // what a file would do is looked at before anything is written
  const look = (what: string, path: string) => async (text: string) => {
    const answer = await sendFile<Outcome>(`${path}?preview`, new Blob([text]))
    setProblem(answer.ok ? null : answer.problem)
    setOutcome(answer.ok ? { what, result: answer.value, takeOver: () => read(what, path)(text) } : null)
  }
  // what became of a file is seen wherever its button stands
  const told = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (outcome || problem) told.current?.scrollIntoView({ block: 'center' })
  }, [outcome, problem])
  const year = Number(data.today.slice(0, 4))
  return (
    <section className="sheet">
      <h2>Files</h2>
      <ProblemNote problem={problem} />
      <div role="status" ref={told}>
        {outcome ? <Told what={outcome.what} result={outcome.result} onTakeOver={outcome.takeOver} onLeave={() => setOutcome(null)} /> : null}
      </div>
      <Line title="Sites" note="Customers, addresses, hours and places on the map.">
        <a className="btn btn-sm btn-outline-secondary" href="/api/v1/sites.csv" download>
          Sites as CSV
        </a>
        <a className="btn btn-sm btn-outline-secondary" href="/api/v1/sites.geojson" download>
          Sites as GeoJSON
        </a>
        <FileButton label="Read sites (CSV)" accept=".csv,text/csv" onText={look('Sites', '/api/v1/sites.csv')} />
        <FileButton label="Read sites (GeoJSON)" accept=".geojson,.json,application/geo+json" onText={look('Sites', '/api/v1/sites.geojson')} />
      </Line>
      <Line title="Service plans" note="What is agreed for each pond; ponds that a file does not name keep theirs.">
        <a className="btn btn-sm btn-outline-secondary" href="/api/v1/service-plans.csv" download>
          Service plans as CSV
        </a>
        <FileButton label="Read service plans (CSV)" accept=".csv,text/csv" onText={look('Service plans', '/api/v1/service-plans.csv')} />
      </Line>
      <Line title="Visits" note="Past and planned, for a spreadsheet.">
        {[year, year + 1].map((y) => (
          <a key={y} className="btn btn-sm btn-outline-secondary" href={`/api/v1/visits.csv?from=${y}-01-01&to=${y}-12-31`} download>
            Visits of {y} as CSV
          </a>
        ))}
        <a className="btn btn-sm btn-outline-secondary" href={`/api/v1/visits.csv?from=${data.today}&to=${addDays(data.today, 27)}`} download>
          The next four weeks
        </a>
      </Line>
      {data.stations.length > 0 ? (
        <Line
          title="Weather of your own"
          note="Columns date, min, max, rain, wind, humidity, sun in °C, mm, m/s, % and h. It goes before the weather desk’s; windows and temperatures follow within minutes."
        >
          <ChoiceField
            label="Station"
            value={stationId}
            onChange={(e) => setStationId(e.target.value)}
            options={data.stations.map((s) => ({ value: s.id, label: s.name }))}
          />
          <FileButton label="Read weather (CSV)" accept=".csv,text/csv" onText={read('Weather', `/api/v1/weather/${stationId}`)} />
          {data.stations
            .filter((s) => s.own)
            .map((s) => (
              <span key={s.id} className="soft small w-100">
                {s.name}: {s.own!.days} own days, {shortDate(s.own!.from)} {s.own!.from.slice(0, 4)} to {shortDate(s.own!.to)} {s.own!.to.slice(0, 4)}
              </span>
            ))}
        </Line>
      ) : null}
    </section>
  )
}

function Line({ title, note, children }: { title: string; note: string; children: React.ReactNode }) {
  return (
    <fieldset>
      <legend>{title}</legend>
      <p className="soft small mb-1">{note}</p>
      <div className="d-flex flex-wrap gap-2 align-items-end">{children}</div>
    </fieldset>
  )
}

const MOST_SHOWN = 12

const FIELD_WORDS: Readonly<Record<string, string>> = {
  address: 'address',
  town: 'town',
  accessNotes: 'access notes',
  stationId: 'weather station',
  lat: 'latitude',
  lon: 'longitude',
  opens: 'opening hour',
  closes: 'closing hour',
  closedDays: 'closed days',
  schoolHolidays: 'school holidays',
  email: 'e-mail',
  phone: 'phone',
}

interface ToldProps {
  readonly what: string
  readonly result: Outcome
  readonly onTakeOver?: () => Promise<void>
  readonly onLeave: () => void
}

function Told({ what, result, onTakeOver, onLeave }: ToldProps) {
  const [busy, setBusy] = useState(false)
  const { preview = false, rows = [] } = result
  const would = preview ? 'would be ' : ''
  const counts = [
    result.added === undefined ? null : `${result.added} ${would}added`,
    result.changed === undefined ? null : `${result.changed} ${would}changed`,
    result.same ? `${result.same} as they are` : null,
    result.days === undefined ? null : `${result.days} days`,
  ].filter(Boolean)
  const touched = rows.filter((row) => row.what !== 'same')
  return (
    <div className="mt-2">
      <strong>
        {what}: {counts.join(', ')}.
      </strong>
      {preview ? <span className="soft"> Nothing has been written yet.</span> : null}
      {preview && touched.length > 0 ? (
        <ul className="small mb-1">
          {touched.slice(0, MOST_SHOWN).map((row) => (
            <li key={row.line}>
              Line {row.line}: {row.name},{' '}
              {row.what === 'added' ? 'new' : `changed: ${row.fields.map((field) => FIELD_WORDS[field] ?? jobName(field)).join(', ')}`}
            </li>
          ))}
          {touched.length > MOST_SHOWN ? <li>and {touched.length - MOST_SHOWN} more</li> : null}
        </ul>
      ) : null}
      {preview && result.problems.length > 0 ? <p className="small mb-0">Left out:</p> : null}
      {result.problems.length > 0 ? (
        <ul className="small mb-0">
          {result.problems.slice(0, MOST_SHOWN).map((p, i) => (
            <li key={i}>
              Line {p.line}: {p.message}
            </li>
          ))}
          {result.problems.length > MOST_SHOWN ? <li>and {result.problems.length - MOST_SHOWN} more</li> : null}
        </ul>
      ) : null}
      {preview && onTakeOver ? (
        <div className="d-flex gap-2 mt-2">
          <button
            type="button"
            className="btn btn-sm btn-primary"
            disabled={busy || touched.length === 0}
            onClick={() => {
              setBusy(true)
              void onTakeOver().finally(() => setBusy(false))
            }}
          >
            Take over {touched.length} {touched.length === 1 ? 'line' : 'lines'}
          </button>
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onLeave}>
            Leave everything as it is
          </button>
        </div>
      ) : null}
    </div>
  )
}
