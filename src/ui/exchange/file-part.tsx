'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { useEffect, useRef, useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { ChoiceField } from '@/ui/kit/choice-field'
import { FileButton } from '@/ui/kit/file-button'
import { ProblemNote } from '@/ui/kit/problem-note'
import { jobName } from '@/messages/visits/visit-words'
import { sendFile } from '@/ui/send'
import { useSave } from '@/ui/use-save'
import type { ExchangeData } from '@/server/exchange/exchange-page'

interface Outcome {
  readonly added?: number
  readonly changed?: number
  readonly same?: number
  readonly days?: number
  readonly rows?: readonly {
    readonly line: number
    readonly name: string
    readonly what: 'added' | 'changed' | 'same'
    readonly fields: readonly string[]
  }[]
  /** Nothing has been written yet. */
  readonly preview?: boolean
  readonly problems: readonly { readonly line: number; readonly message: string }[]
}

/** Tables and maps of sites, service plans, visits and weather. */
export function FilePart({ data }: { data: ExchangeData }) {
  const t = useTexts()

  const [stationId, setStationId] = useState(data.stations[0]?.id ?? '')
  const [outcome, setOutcome] = useState<{ what: string; result: Outcome; takeOver?: () => Promise<void> } | null>(null)
  const { problem, ask } = useSave()
  const read = (what: string, path: string) => async (text: string) => {
    const result = await ask(sendFile<Outcome>(path, new Blob([text])))
    setOutcome(result && { what, result })
  }
  // what a file would do is looked at before anything is written
  const look = (what: string, path: string) => async (text: string) => {
    const result = await ask(sendFile<Outcome>(`${path}?preview`, new Blob([text])))
    setOutcome(result && { what, result, takeOver: () => read(what, path)(text) })
  }
  // what became of a file is seen wherever its button stands
  const told = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (outcome || problem) told.current?.scrollIntoView({ block: 'center' })
  }, [outcome, problem])
  const year = Number(data.today.slice(0, 4))
  return (
    <section className="sheet">
      <h2>{t('exchange.filePart.files')}</h2>
      <ProblemNote problem={problem} />
      <div role="status" ref={told}>
        {outcome ? (
          <Told
            what={outcome.what}
            result={outcome.result}
            onTakeOver={outcome.takeOver}
            onLeave={() => setOutcome(null)}
          />
        ) : null}
      </div>
      <Line title={t('exchange.filePart.sites')} note={t('exchange.filePart.customersAddressesHoursPlaces')}>
        <a className="btn btn-sm btn-outline-secondary" href="/api/v1/sites.csv" download>
          {t('exchange.filePart.sitesCsv')}
        </a>
        <a className="btn btn-sm btn-outline-secondary" href="/api/v1/sites.geojson" download>
          {t('exchange.filePart.sitesGeojson')}
        </a>
        <FileButton
          label={t('exchange.filePart.readSitesCsv')}
          accept=".csv,text/csv"
          onText={look(t('exchange.filePart.sites'), '/api/v1/sites.csv')}
        />
        <FileButton
          label={t('exchange.filePart.readSitesGeojson')}
          accept=".geojson,.json,application/geo+json"
          onText={look(t('exchange.filePart.sites'), '/api/v1/sites.geojson')}
        />
      </Line>
      <Line title={t('exchange.filePart.servicePlans')} note={t('exchange.filePart.whatAgreedEachPond')}>
        <a className="btn btn-sm btn-outline-secondary" href="/api/v1/service-plans.csv" download>
          {t('exchange.filePart.servicePlansCsv')}
        </a>
        <FileButton
          label={t('exchange.filePart.readServicePlansCsv')}
          accept=".csv,text/csv"
          onText={look(t('exchange.filePart.servicePlans'), '/api/v1/service-plans.csv')}
        />
      </Line>
      <Line title={t('exchange.filePart.visits')} note={t('exchange.filePart.pastPlannedSpreadsheet')}>
        {[year, year + 1].map((y) => (
          <a
            key={y}
            className="btn btn-sm btn-outline-secondary"
            href={`/api/v1/visits.csv?from=${y}-01-01&to=${y}-12-31`}
            download
          >
            {t('exchange.filePart.visitsCsv', { y })}
          </a>
        ))}
        <a
          className="btn btn-sm btn-outline-secondary"
          href={`/api/v1/visits.csv?from=${data.today}&to=${addDays(data.today, 27)}`}
          download
        >
          {t('exchange.filePart.nextFourWeeks')}
        </a>
      </Line>
      {data.stations.length > 0 ? (
        <Line title={t('exchange.filePart.weatherYourOwn')} note={t('exchange.filePart.columnsDateMinMax')}>
          <ChoiceField
            label={t('exchange.filePart.station')}
            value={stationId}
            onChange={(e) => setStationId(e.target.value)}
            options={data.stations.map((s) => ({ value: s.id, label: s.name }))}
          />
          <FileButton
            label={t('exchange.filePart.readWeatherCsv')}
            accept=".csv,text/csv"
            onText={read(t('exchange.filePart.weather'), `/api/v1/weather/${stationId}`)}
          />
          {data.stations
            .filter((s) => s.own)
            .map((s) => (
              <span key={s.id} className="soft small w-100">
                {t('exchange.filePart.ownDays', {
                  name: s.name,
                  days: s.own!.days,
                  from: t.shortDate(s.own!.from),
                  from2: s.own!.from.slice(0, 4),
                  to: t.shortDate(s.own!.to),
                  to2: s.own!.to.slice(0, 4),
                })}
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

const MAX_SHOWN = 12

const FIELD_WORDS: Readonly<Record<string, TextId>> = {
  address: textId('exchange.filePart.address'),
  town: textId('exchange.filePart.town'),
  accessNotes: textId('exchange.filePart.accessNotes'),
  stationId: textId('exchange.filePart.weatherStation'),
  lat: textId('exchange.filePart.lat'),
  lon: textId('exchange.filePart.lon'),
  opens: textId('exchange.filePart.openingHour'),
  closes: textId('exchange.filePart.closingHour'),
  closedDays: textId('exchange.filePart.closedDays'),
  schoolHolidays: textId('exchange.filePart.schoolHolidays'),
  email: textId('exchange.filePart.email'),
  phone: textId('exchange.filePart.phone'),
}

interface ToldProps {
  readonly what: string
  readonly result: Outcome
  readonly onTakeOver?: () => Promise<void>
  readonly onLeave: () => void
}

function Told({ what, result, onTakeOver, onLeave }: ToldProps) {
  const t = useTexts()

  const [busy, setBusy] = useState(false)
  const { preview = false, rows = [] } = result
  const would = preview ? t('exchange.filePart.would') : ''
  const counts = [
    result.added === undefined ? null : t('exchange.filePart.added', { added: result.added, would }),
    result.changed === undefined ? null : t('exchange.filePart.changed', { changed: result.changed, would }),
    result.same ? t('exchange.filePart.they', { same: result.same }) : null,
    result.days === undefined ? null : t('exchange.filePart.days', { days: result.days }),
  ].filter(Boolean)
  const touched = rows.filter((row) => row.what !== 'same')
  return (
    <div className="mt-2">
      <strong>
        {what}: {counts.join(', ')}.
      </strong>
      {preview ? <span className="soft"> {t('exchange.filePart.nothingHasBeenWritten')}</span> : null}
      {preview && touched.length > 0 ? (
        <ul className="small mb-1">
          {touched.slice(0, MAX_SHOWN).map((row) => (
            <li key={row.line}>
              {t('exchange.filePart.line', {
                line: row.line,
                name: row.name,
                what:
                  row.what === 'added'
                    ? 'new'
                    : t('exchange.filePart.changed2', {
                        map: row.fields
                          .map((field) => (FIELD_WORDS[field] ? t(FIELD_WORDS[field]) : jobName(field, t)))
                          .join(', '),
                      }),
              })}
            </li>
          ))}
          {touched.length > MAX_SHOWN ? (
            <li>{t('exchange.filePart.more', { count: touched.length - MAX_SHOWN })}</li>
          ) : null}
        </ul>
      ) : null}
      {preview && result.problems.length > 0 ? <p className="small mb-0">{t('exchange.filePart.leftOut')}</p> : null}
      {result.problems.length > 0 ? (
        <ul className="small mb-0">
          {result.problems.slice(0, MAX_SHOWN).map((p, i) => (
            <li key={i}>{t('exchange.filePart.line2', { line: p.line, message: p.message })}</li>
          ))}
          {result.problems.length > MAX_SHOWN ? (
            <li>{t('exchange.filePart.more', { count: result.problems.length - MAX_SHOWN })}</li>
          ) : null}
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
            {t('exchange.filePart.takeOver', { count: touched.length })}
          </button>
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onLeave}>
            {t('exchange.filePart.leaveEverything')}
          </button>
        </div>
      ) : null}
    </div>
  )
}
