'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { ammoniaWords } from '@/messages/water/ammonia-words'
import { instant, longDate, shortDate } from '@/domain/shared/dates'
import { clockAfter } from '@/domain/schedule/clash'
import { readingQuantity } from '@/domain/water/reading-names'
import { may } from '@/domain/people/roles'
import { fieldHref } from '@/domain/field/field-href'
import type { TodayPageData } from '@/server/today/today'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { WaterLegend } from '@/ui/drawing/water-legend'
import { waterColour } from '@/ui/drawing/water-colour'
import { RiskLines } from '@/ui/forecasts/risk-lines'
import { usePerson, useShow } from '@/ui/person-context'

export function TodayView({ data }: { data: TodayPageData }) {
  const t = useTexts()

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
            <h2>{t('today.todayView.waterToday')}</h2>
            {data.todays.length === 0 ? (
              <p className="soft mb-0">{t('today.todayView.noVisitsToday')}</p>
            ) : (
              <VisitLines visits={data.todays} />
            )}
          </section>
          <section className="sheet">
            <h2>{t('today.todayView.nextTwoWeeks')}</h2>
            {data.coming.length === 0 ? (
              <p className="soft mb-0">{t('today.todayView.nothingPlannedNext14')}</p>
            ) : (
              <VisitLines visits={data.coming} withDay />
            )}
          </section>
          <section className="sheet">
            <h2>{t('today.todayView.cleanoutsDecide')}</h2>
            {data.toPlan.length === 0 ? (
              <p className="soft mb-0">
                {data.pondCount === 0
                  ? t('today.todayView.addFirstPondWindows')
                  : t('today.todayView.everyPondWhoseWindow')}
              </p>
            ) : (
              <>
                <p className="soft small mb-1">
                  {t('today.todayView.noCleanoutComingWindow', {
                    toPlanCount: data.toPlanCount,
                  })}
                </p>
                <ul className="plain-list">
                  {data.toPlan.map((w) => (
                    <li key={w.pondId} className="d-flex flex-wrap gap-2 align-items-baseline">
                      <Link href={`/ponds/${w.pondId}`}>
                        {w.siteName}: {w.pondName}
                      </Link>
                      <span className="soft">
                        {t('today.todayView.best', {
                          earliest: shortDate(w.earliest),
                          latest: shortDate(w.latest),
                          latest2: w.latest.slice(0, 4),
                          best: shortDate(w.best),
                        })}
                      </span>
                      {may(role, 'visits.plan') ? (
                        <Link className="ms-auto" href={`/ponds/${w.pondId}/plan`}>
                          {t('today.todayView.planCleanout')}
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
            <h2>
              {t('today.todayView.pondsRiskUs', {
                concernCount: data.concernCount > 0 ? ` (${data.concernCount})` : '',
              })}
            </h2>
            <Concerns data={data} />
            {data.risks.length > 0 ? (
              <>
                <h3 className="mt-3">{t('today.todayView.comingThreeWeeks')}</h3>
                <RiskLines lines={data.risks} mayPlan={may(role, 'visits.plan')} />
              </>
            ) : null}
            <Link href="/forecasts">{t('today.todayView.allForecasts')}</Link>
          </section>
          <Answers data={data} />
          <section className="sheet">
            <h2>
              {t('today.todayView.followUps', {
                followUpCount: data.followUpCount > 0 ? ` (${data.followUpCount})` : '',
              })}
            </h2>
            {data.followUps.length === 0 ? <p className="soft mb-0">{t('today.todayView.noneDue')}</p> : null}
            <ul className="plain-list">
              {data.followUps.map((f) => (
                <li key={f.id}>
                  {f.dueTo < data.today ? <span className="verdict stop me-1">{t('today.todayView.late')}</span> : null}
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

function WaterStrip({ data: { water, weather } }: { data: TodayPageData }) {
  const t = useTexts()

  const show = useShow()
  const { timeZone } = usePerson()
  if (!water) return <p className="sheet soft">{t('today.todayView.waterTemperaturesAppearOnce')}</p>
  const parts = [
    [t('today.todayView.coldestPond'), water.coldest],
    [t('today.todayView.middle'), water.middle],
    [t('today.todayView.warmestPond'), water.warmest],
  ] as const
  return (
    <section className="sheet d-flex flex-wrap gap-4 align-items-center" aria-label={t('today.todayView.waterWeek')}>
      <strong>{t('today.todayView.waterWeek')}</strong>
      {parts.map(([label, c]) => (
        <span key={label} className="d-inline-flex align-items-center gap-2">
          <span
            style={{ width: '2.4rem', height: '1.3rem', background: waterColour(c!), border: '1px solid var(--ink)' }}
            aria-hidden="true"
          />
          <span className="soft">{label}</span> {show(c!, 'temperature')}
        </span>
      ))}
      <span className="ms-auto">
        <WaterLegend />
      </span>
      {weather.now.length > 0 ? (
        <span className="soft small w-100">
          {t('today.todayView.airUtc', {
            at: weather.now[0]!.at.slice(11),
            map: weather.now
              .map((n) =>
                t('today.todayView.windMS', {
                  station: n.station.replace(/ \(.*/, ''),
                  airC: show(n.airC, 'temperature'),
                  windMPerS: n.windMPerS.toFixed(0),
                }),
              )
              .join(' · '),
          })}
        </span>
      ) : null}
      {!weather.reachable && weather.fetchedAt ? (
        <span className="soft small">
          {t('today.todayView.weatherDeskDoesNot', { fetchedAt: instant(weather.fetchedAt, timeZone) })}
        </span>
      ) : null}
    </section>
  )
}

function VisitLines({ visits, withDay = false }: { visits: readonly VisitLine[]; withDay?: boolean }) {
  const t = useTexts()

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
            {v.town} · {t(`visits.visitStateNames.${v.state}`)}
          </span>
        </li>
      ))}
    </ul>
  )
}

function Concerns({ data }: { data: TodayPageData }) {
  const t = useTexts()

  const show = useShow()
  const { timeZone, preferences } = usePerson()
  if (data.concerns.length === 0) return <p className="soft mb-0">{t('today.todayView.noTestLastWeeks')}</p>
  return (
    <ul className="plain-list">
      {data.concerns.map((c) => (
        <li key={c.pondId}>
          <span className={`verdict ${c.band} me-1`}>{t(`water.bandNames.${c.band}`)}</span>
          <Link href={`/ponds/${c.pondId}`}>
            {c.siteName}: {c.pondName}
          </Link>
          <div className="soft small">
            {t(`water.readingNames.${c.kind}`)} {show(c.value, readingQuantity(c.kind))}
            {c.kind === 'tan' ? `, ${ammoniaWords(c, preferences.units, t)}` : ''}, {instant(c.takenAt, timeZone)}
          </div>
        </li>
      ))}
    </ul>
  )
}

/** What customers ask for, the urgent first. */
function Requests({ data: { requests } }: { data: TodayPageData }) {
  const t = useTexts()

  if (requests.count === 0) return null
  return (
    <section className="sheet">
      <h2>{t('today.todayView.customersRequests', { count: requests.count })}</h2>
      <ul className="plain-list">
        {requests.lines.map((r) => (
          <li key={r.id}>
            {r.urgent ? <span className="verdict emergency me-1">{t('today.todayView.urgent')}</span> : null}
            <Link href={`/ponds/${r.pondId}`}>
              {r.siteName}: {r.pondName}
            </Link>
            <div className="soft small">{t('today.todayView.by', { title: r.title, dueTo: shortDate(r.dueTo) })}</div>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** Visits of past days of which nobody has said how they ended. */
function Unlogged({ data: { unlogged } }: { data: TodayPageData }) {
  const t = useTexts()

  if (unlogged.count === 0) return null
  return (
    <section className="sheet">
      <h2>{t('today.todayView.visitsNeverLogged', { count: unlogged.count })}</h2>
      <ul className="plain-list">
        {unlogged.lines.map((v) => (
          <li key={v.id} className="d-flex flex-wrap gap-2 align-items-baseline">
            <span>{shortDate(v.day)}</span>
            <strong>{v.crewName}</strong>
            <Link href={fieldHref(v.id)}>
              {v.jobName}: {v.siteName}, {v.pondName}
            </Link>
            <span className="soft">{t(`visits.visitStateNames.${v.state}`)}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** What customers answered to proposals. */
function Answers({ data: { answers } }: { data: TodayPageData }) {
  const t = useTexts()

  if (answers.length === 0) return null
  return (
    <section className="sheet">
      <h2>{t('today.todayView.answersProposals', { count: answers.length })}</h2>
      <ul className="plain-list">
        {answers.map((a) => (
          <li key={a.id}>
            <span className={`verdict ${a.state === 'accepted' ? 'pass' : 'look'} me-1`}>
              {a.state === 'accepted' ? t('today.todayView.accepted') : t('today.todayView.declined')}
            </span>
            <Link href={`/ponds/${a.pondId}/design?part=price`}>
              {a.siteName}: {a.title}
            </Link>
            <div className="soft small">
              {t('today.todayView.made', {
                option: a.option ? t('today.todayView.option', { option: a.option }) : t('today.todayView.by2'),
                answerName: a.answerName,
                answeredAt: shortDate(a.answeredAt.slice(0, 10)),
                madeByName: a.madeByName,
              })}
            </div>
          </li>
        ))}
      </ul>
    </section>
  )
}
