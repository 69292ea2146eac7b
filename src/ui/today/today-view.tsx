'use client'
import Link from 'next/link'
import { ammoniaWords } from '@/domain/water/ammonia-words'
import { instant, longDate, shortDate } from '@/domain/shared/dates'
import { clockAfter } from '@/domain/schedule/clash'
import { BAND_NAMES, READING_NAMES, readingQuantity } from '@/domain/water/reading-names'
import { may } from '@/domain/people/roles'
import { fieldHref } from '@/domain/field/field-href'
import type { todayPage } from '@/server/today/today'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { waterColour } from '@/ui/drawing/water-colour'
import { WorryLines } from '@/ui/forecasts/worry-lines'
import { VISIT_STATE_NAMES } from '@/messages/en/visits'
import { usePerson, useShow } from '@/ui/person-context'

type TodayData = Awaited<ReturnType<typeof todayPage>>

export function TodayView({ data }: { data: TodayData }) {
  const { role } = usePerson()
  return (
    <>
      <div className="page-head">
        <h1>{longDate(data.today)}</h1>
      </div>
      <WaterStrip data={data} />
      <div className="columns wide-left">
        <div>
          <Unlogged data={data} />
          <section className="sheet">
            <h2>On the water today</h2>
            {data.todays.length === 0 ? <p className="soft mb-0">No visits today.</p> : <VisitLines visits={data.todays} />}
          </section>
          <section className="sheet">
            <h2>The next two weeks</h2>
            {data.coming.length === 0 ? <p className="soft mb-0">Nothing planned in the next 14 days.</p> : <VisitLines visits={data.coming} withDay />}
          </section>
          <section className="sheet">
            <h2>Cleanouts to decide</h2>
            {data.toPlan.length === 0 ? (
              <p className="soft mb-0">
                {data.pondCount === 0
                  ? 'Add the first pond, and its windows of the year appear here.'
                  : 'Every pond whose window is known has its cleanout planned.'}
              </p>
            ) : (
              <>
                <p className="soft small mb-1">
                  {data.toPlanCount} {data.toPlanCount === 1 ? 'pond has' : 'ponds have'} no cleanout in the coming window; the earliest first.
                </p>
                <ul className="plain-list">
                  {data.toPlan.map((w) => (
                    <li key={w.pondId} className="d-flex flex-wrap gap-2 align-items-baseline">
                      <Link href={`/ponds/${w.pondId}`}>
                        {w.siteName}: {w.pondName}
                      </Link>
                      <span className="soft">
                        {shortDate(w.earliest)} – {shortDate(w.latest)} {w.latest.slice(0, 4)}, best {shortDate(w.best)}
                      </span>
                      {may(role, 'visits.plan') ? (
                        <Link className="ms-auto" href={`/ponds/${w.pondId}/plan`}>
                          Plan the cleanout
                        </Link>
                      ) : null}
                    </li>
                  ))}
                </ul>
              </>
            )}
          </section>
        </div>
        <div>
          <Requests data={data} />
          <section className="sheet">
            <h2>Ponds that worry us{data.concernCount > 0 ? ` (${data.concernCount})` : ''}</h2>
            <Concerns data={data} />
            {data.worries.length > 0 ? (
              <>
                <h3 className="mt-3">In the coming three weeks</h3>
                <WorryLines lines={data.worries} mayPlan={may(role, 'visits.plan')} />
              </>
            ) : null}
            <Link href="/water">All forecasts</Link>
          </section>
          <Answers data={data} />
          <section className="sheet">
            <h2>Follow-ups{data.followUpCount > 0 ? ` (${data.followUpCount})` : ''}</h2>
            {data.followUps.length === 0 ? <p className="soft mb-0">None due.</p> : null}
            <ul className="plain-list">
              {data.followUps.map((f) => (
                <li key={f.id}>
                  {f.dueTo < data.today ? <span className="verdict stop me-1">Late</span> : null}
                  <Link href={`/ponds/${f.pondId}`}>
                    {f.siteName}: {f.pondName}
                  </Link>
                  <div className="soft small">
                    {f.title}, {shortDate(f.dueFrom)} – {shortDate(f.dueTo)}
                  </div>
                </li>
              ))}
            </ul>
          </section>
        </div>
      </div>
    </>
  )
}

function WaterStrip({ data: { water, weather } }: { data: TodayData }) {
  const show = useShow()
  const { timeZone } = usePerson()
  if (!water) return <p className="sheet soft">Water temperatures appear once ponds are added and the weather desk has answered.</p>
  const parts = [
    ['Coldest pond', water.coldest],
    ['Middle', water.middle],
    ['Warmest pond', water.warmest],
  ] as const
  return (
    <section className="sheet d-flex flex-wrap gap-4 align-items-center" aria-label="Water this week">
      <strong>Water this week</strong>
      {parts.map(([label, c]) => (
        <span key={label} className="d-inline-flex align-items-center gap-2">
          <span style={{ width: '2.4rem', height: '1.3rem', background: waterColour(c), border: '1px solid var(--ink)' }} aria-hidden="true" />
          <span className="soft">{label}</span> {show(c, 'temperature')}
        </span>
      ))}
      <span className="ms-auto">
        <WaterLegend />
      </span>
      {weather.now.length > 0 ? (
        <span className="soft small w-100">
          Air at {weather.now[0].at.slice(11)} UTC:{' '}
          {weather.now.map((n) => `${n.station.replace(/ \(.*/, '')} ${show(n.airC, 'temperature')}, wind ${n.windMPerS.toFixed(0)} m/s`).join(' · ')}
        </span>
      ) : null}
      {!weather.reachable && weather.fetchedAt ? (
        <span className="soft small">The weather desk does not answer; figures from {instant(weather.fetchedAt, timeZone)}.</span>
      ) : null}
    </section>
  )
}

function VisitLines({ visits, withDay = false }: { visits: readonly VisitLine[]; withDay?: boolean }) {
  return (
    <ul className="plain-list">
      {visits.map((v) => (
        <li key={v.id} className="d-flex flex-wrap gap-2 align-items-baseline">
          <span>
            {withDay ? `${shortDate(v.day)} ` : ''}
            {v.startTime}–{clockAfter(v.startTime, v.plannedMinutes)}
          </span>
          <strong>{v.crewName}</strong>
          <Link href={v.state === 'done' ? `/visits/${v.id}/report` : fieldHref(v.id)}>
            {v.jobName}: {v.siteName}, {v.pondName}
          </Link>
          <span className="soft">
            {v.town} · {VISIT_STATE_NAMES[v.state]}
          </span>
        </li>
      ))}
    </ul>
  )
}

function Concerns({ data }: { data: TodayData }) {
  const show = useShow()
  const { timeZone, preferences } = usePerson()
  if (data.concerns.length === 0) return <p className="soft mb-0">No test of the last weeks is out of band.</p>
  return (
    <ul className="plain-list">
      {data.concerns.map((c) => (
        <li key={c.pondId}>
          <span className={`verdict ${c.band} me-1`}>{BAND_NAMES[c.band]}</span>
          <Link href={`/ponds/${c.pondId}`}>
            {c.siteName}: {c.pondName}
          </Link>
          <div className="soft small">
            {READING_NAMES[c.kind]} {show(c.value, readingQuantity(c.kind))}
            {c.kind === 'tan' ? `, ${ammoniaWords(c, preferences.units)}` : ''}, {instant(c.takenAt, timeZone)}
          </div>
        </li>
      ))}
    </ul>
  )
}

/** What customers ask for, the urgent first. */
function Requests({ data: { requests } }: { data: TodayData }) {
  if (requests.count === 0) return null
  return (
    <section className="sheet">
      <h2>Customers’ requests ({requests.count})</h2>
      <ul className="plain-list">
        {requests.lines.map((r) => (
          <li key={r.id}>
            {r.urgent ? <span className="verdict emergency me-1">Urgent</span> : null}
            <Link href={`/ponds/${r.pondId}`}>
              {r.siteName}: {r.pondName}
            </Link>
            <div className="soft small">
              {r.title}, by {shortDate(r.dueTo)}
            </div>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** Visits of past days of which nobody has said how they ended. */
function Unlogged({ data: { unlogged } }: { data: TodayData }) {
  if (unlogged.count === 0) return null
  return (
    <section className="sheet">
      <h2>Visits never logged ({unlogged.count})</h2>
      <ul className="plain-list">
        {unlogged.lines.map((v) => (
          <li key={v.id} className="d-flex flex-wrap gap-2 align-items-baseline">
            <span>{shortDate(v.day)}</span>
            <strong>{v.crewName}</strong>
            <Link href={fieldHref(v.id)}>
              {v.jobName}: {v.siteName}, {v.pondName}
            </Link>
            <span className="soft">{VISIT_STATE_NAMES[v.state]}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What customers answered to proposals. */
function Answers({ data: { answers } }: { data: TodayData }) {
  if (answers.length === 0) return null
  return (
    <section className="sheet">
      <h2>Answers to proposals ({answers.length})</h2>
      <ul className="plain-list">
        {answers.map((a) => (
          <li key={a.id}>
            <span className={`verdict ${a.state === 'accepted' ? 'pass' : 'look'} me-1`}>{a.state === 'accepted' ? 'Accepted' : 'Declined'}</span>
            <Link href={`/ponds/${a.pondId}/design?part=price`}>
              {a.siteName}: {a.title}
            </Link>
            <div className="soft small">
              {a.option ? `Option ${a.option}, by ` : 'By '}
              {a.answerName}, {shortDate(a.answeredAt.slice(0, 10))}; made by {a.madeByName}
            </div>
          </li>
        ))}
      </ul>
    </section>
  )
}
