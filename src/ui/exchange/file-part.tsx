'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/dates'
import { ChoiceField } from '@/ui/components/choice-field'
import { FileButton } from '@/ui/components/file-button'
import { ProblemNote } from '@/ui/components/problem-note'
import { sendFile, type SendProblem } from '@/ui/send'
import type { ExchangeData } from './exchange-view'

interface Outcome {
  readonly added?: number
  readonly changed?: number
  readonly days?: number
  readonly problems: readonly { readonly line: number; readonly message: string }[]
}

/** Tables and maps of sites, service plans, visits and weather. */
export function FilePart({ data }: { data: ExchangeData }) {
  const router = useRouter()
  const [stationId, setStationId] = useState(data.stations[0]?.id ?? '')
  const [outcome, setOutcome] = useState<{ what: string; result: Outcome } | null>(null)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const read = (what: string, path: string) => async (text: string) => {
    const answer = await sendFile<Outcome>(path, new Blob([text]))
    setProblem(answer.ok ? null : answer.problem)
    setOutcome(answer.ok ? { what, result: answer.value } : null)
    if (answer.ok) router.refresh()
  }
  const year = Number(data.today.slice(0, 4))
  return (
    <section className="sheet">
      <h2>Files</h2>
      <Line title="Sites" note="Customers, addresses, hours and places on the map.">
        <a className="btn btn-sm btn-outline-secondary" href="/api/v1/sites.csv" download>
          Sites as CSV
        </a>
        <a className="btn btn-sm btn-outline-secondary" href="/api/v1/sites.geojson" download>
          Sites as GeoJSON
        </a>
        <FileButton label="Read sites (CSV)" accept=".csv,text/csv" onText={read('Sites', '/api/v1/sites.csv')} />
        <FileButton label="Read sites (GeoJSON)" accept=".geojson,.json,application/geo+json" onText={read('Sites', '/api/v1/sites.geojson')} />
      </Line>
      <Line title="Service plans" note="What is agreed for each pond; ponds that a file does not name keep theirs.">
        <a className="btn btn-sm btn-outline-secondary" href="/api/v1/service-plans.csv" download>
          Service plans as CSV
        </a>
        <FileButton label="Read service plans (CSV)" accept=".csv,text/csv" onText={read('Service plans', '/api/v1/service-plans.csv')} />
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
      <ProblemNote problem={problem} />
      <div role="status">{outcome ? <Told what={outcome.what} result={outcome.result} /> : null}</div>
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

function Told({ what, result }: { what: string; result: Outcome }) {
  const counts = [
    result.added === undefined ? null : `${result.added} added`,
    result.changed === undefined ? null : `${result.changed} changed`,
    result.days === undefined ? null : `${result.days} days`,
  ].filter(Boolean)
  return (
    <div className="mt-2">
      <strong>
        {what}: {counts.join(', ')}.
      </strong>
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
    </div>
  )
}
