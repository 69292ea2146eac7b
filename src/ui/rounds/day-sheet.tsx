'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { clockAfter } from '@/domain/schedule/clash'
import { duration } from '@/domain/shared/dates'
import type { DaySheetData } from '@/server/rounds/day-sheet'
import { clockOf } from '@/domain/people/crew-setup'
import { LOAD_CAUTION, loadLines, yardWords } from '@/messages/rounds/load-words'
import { fieldHref } from '@/domain/field/field-href'
import { dayLoad } from '@/domain/rounds/day-load'
import { TELL_LATE_FROM_MIN, type StopEstimate } from '@/core/schedule/live-day'
import { LoadNote } from './load-note'
import { TellArrival } from './tell-arrival'
import { useShow } from '@/ui/person-context'

/** A crew's day on one sheet: order, times, ways, access, and what to load. Made to be printed and kept in the cab. */
export function DaySheetView({ data }: { data: DaySheetData }) {
  const t = useTexts()

  const show = useShow()
  const { crew, day, visits, ways, live } = data
  const load = dayLoad(visits, ways, crew.setup)
  const hours = load ? yardWords(load, t) : ''
  const late = live.stops.filter((s) => s.state === 'to-come' && s.lateMin >= TELL_LATE_FROM_MIN)
  return (
    <>
      <div className="page-head">
        <h1>
          {crew.name}, {t.longDate(day)}
        </h1>
        <span className="actions no-print">
          <Link className="btn btn-sm btn-outline-secondary" href={`/rounds?day=${day}`}>
            {t('rounds.daySheet.allCrews')}
          </Link>
          <a className="btn btn-sm btn-outline-secondary" href={`/api/v1/crews/${crew.id}/day-sheet.pdf?day=${day}`}>
            {t('rounds.daySheet.pdf')}
          </a>
          <Link className="btn btn-sm btn-outline-secondary" href={`/map?day=${day}`}>
            {t('rounds.daySheet.map')}
          </Link>
          <button type="button" className="btn btn-sm btn-primary" onClick={() => window.print()}>
            {t('rounds.daySheet.print')}
          </button>
        </span>
      </div>
      {late.length > 0 ? (
        <p className="sheet" role="status">
          <span className="verdict look me-1">{t('rounds.daySheet.runningLate')}</span>
          {late
            .map((s) =>
              t('rounds.daySheet.about', {
                siteName: visits.find((v) => v.id === s.id)!.siteName,
                lateMin: duration(s.lateMin),
              }),
            )
            .join(', ')}
          {t('rounds.daySheet.backAbout', { backMin: clockOf(live.backMin) })}
        </p>
      ) : null}
      {visits.length === 0 ? <p className="sheet">{t('rounds.daySheet.nothingPlannedCrewDay')}</p> : null}
      {load ? (
        <p className="among-words">
          {hours ? `${hours}. ` : ''}
          <LoadNote round={{ stops: visits, ways }} setup={crew.setup} />
        </p>
      ) : null}
      {visits.length > 0 ? (
        <section className="sheet" aria-label={t('rounds.daySheet.load')}>
          <h2>{t('rounds.daySheet.loadBeforeLeaving')}</h2>
          <ul className="mb-1">
            {loadLines(data.load, show, t).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <p className="soft small mb-0">{t(LOAD_CAUTION)}</p>
        </section>
      ) : null}
      <ol className="list-unstyled">
        {visits.map((v, i) => (
          <li key={v.id} className="sheet">
            <div className="soft small">
              {ways.toStops[i] === null
                ? t('rounds.daySheet.wayNotKnownSite')
                : t('rounds.daySheet.way', { i: duration(ways.toStops[i]!) })}
            </div>
            <h2>
              {v.startTime}–{clockAfter(v.startTime, v.plannedMinutes)} {v.job.name}
            </h2>
            <p className="mb-1">
              <strong>{v.siteName}</strong>, {v.pondName}. {[v.address, v.town].filter(Boolean).join(', ')}.{' '}
              {v.customerName}. <span className="soft">{t(`visits.visitStateNames.${v.state}`)}</span>
            </p>
            <LiveLine stop={live.stops[i]!} />
            {data.mayTell && v.state === 'planned' && day === data.today ? (
              <TellArrival
                visitId={v.id}
                siteName={v.siteName}
                time={clockOf(live.stops[i]!.startMin)}
                late={live.stops[i]!.lateMin >= TELL_LATE_FROM_MIN}
              />
            ) : null}
            {v.tasks.length > 0 ? (
              <p className="mb-1">
                {t('rounds.daySheet.whileThere', { map: v.tasks.map((task) => task.title).join('; ') })}
              </p>
            ) : null}
            {v.accessNotes ? (
              <p className="mb-1">{t('rounds.daySheet.access', { accessNotes: v.accessNotes })}</p>
            ) : null}
            {v.note ? <p className="mb-1">{t('rounds.daySheet.note', { note: v.note })}</p> : null}
            <Link className="no-print me-3" href={fieldHref(v.id)}>
              {t('rounds.daySheet.fieldSheet')}
            </Link>
            <Link className="no-print" href={`/visits/${v.id}/sheet`}>
              {t('rounds.daySheet.paper')}
            </Link>
          </li>
        ))}
      </ol>
    </>
  )
}

/** How this stop goes, once something has been logged. */
function LiveLine({ stop }: { stop: StopEstimate }) {
  const t = useTexts()

  if (stop.state === 'done')
    return (
      <p className="mb-1 soft">
        {t('rounds.daySheet.done', { startMin: clockOf(stop.startMin), endMin: clockOf(stop.endMin) })}
      </p>
    )
  if (stop.state === 'under-way')
    return (
      <p className="mb-1">
        {t('rounds.daySheet.underWaySinceExpected', { startMin: clockOf(stop.startMin), endMin: clockOf(stop.endMin) })}
      </p>
    )
  if (Math.abs(stop.lateMin) < 1) return null
  return (
    <p className="mb-1">
      <span className="verdict look me-1">{t('rounds.daySheet.later')}</span>
      {t('rounds.daySheet.expectedAboutAfterPlan', {
        startMin: clockOf(stop.startMin),
        lateMin: duration(stop.lateMin),
      })}
    </p>
  )
}
