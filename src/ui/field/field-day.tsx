'use client'
import { useTexts } from '@/ui/kit/texts'
import { addDays } from '@/core/numeric/calendar'
import { clockAfter } from '@/domain/schedule/clash'
import { fieldHref } from '@/domain/field/field-href'
import { runningTimers, type VisitView } from './device/device-view'
import { SharedPhotos } from './shared-photos'
import { FieldLink } from './field-link'
import { useField } from './field-context'
import { TimeLeft } from './steps/step-timer'

/** Days of coming rounds that are listed. */
const AHEAD_DAYS = 14

/** The stops of a day in order, large enough for gloves. */
export function FieldDay({ views, today }: { views: readonly VisitView[]; today: string }) {
  const t = useTexts()

  const { person } = useField()
  const open = views.filter((v) => v.visit.state === 'under-way' && v.visit.day !== today)
  const stops = views.filter((v) => v.visit.day === today && v.visit.state !== 'cancelled')
  const later = views.filter(
    (v) => v.visit.day > today && v.visit.day <= addDays(today, AHEAD_DAYS) && v.visit.state === 'planned',
  )
  return (
    <>
      <h1 className="fs-3">{t.longDate(today).replace(/,? \d{4}$/, '')}</h1>
      <SharedPhotos views={views} />
      {open.length > 0 ? <h2>{t('field.fieldDay.stillOpen')}</h2> : null}
      {open.map((view) => (
        <Stop key={view.visit.id} view={view} />
      ))}
      {open.length > 0 ? <h2>{t('field.fieldDay.today')}</h2> : null}
      {stops.length === 0 ? <p className="sheet">{t('field.fieldDay.noStopsTodayOffice')}</p> : null}
      {stops.map((view) => (
        <Stop key={view.visit.id} view={view} />
      ))}
      {later.length > 0 ? <h2 className="mt-4">{t('field.fieldDay.comingUp')}</h2> : null}
      <ul className="plain-list">
        {later.map(({ visit: v }) => (
          <li key={v.id}>
            <FieldLink href={fieldHref(v.id)} className="coming-up">
              {t.shortDate(v.day)} {v.startTime} {v.siteName}
              <span className="soft">
                {' '}
                {v.job.name}
                {person.role === 'owner' || person.role === 'office' ? `, ${v.crewName}` : ''}
              </span>
            </FieldLink>
          </li>
        ))}
      </ul>
    </>
  )
}

function Stop({ view }: { view: VisitView }) {
  const t = useTexts()

  const { visit } = view
  const over = visit.state === 'done' || visit.state === 'given-up'
  const openText = () => {
    if (visit.state === 'planned') return t('field.fieldDay.openVisit')
    if (over) return t('field.fieldDay.lookVisit')
    return t('field.fieldDay.goVisit')
  }
  return (
    <section className="sheet" aria-label={`${visit.startTime} ${visit.siteName}`}>
      <div className="d-flex justify-content-between">
        <strong>
          {visit.startTime}–{clockAfter(visit.startTime, visit.plannedMinutes)}
        </strong>
        <span className="soft">{t(`visits.visitStateNames.${visit.state}`)}</span>
      </div>
      <h2 className="fs-4 mb-1">
        {visit.siteName}: {visit.pondName}
      </h2>
      <p className="mb-1">
        {visit.job.name} · {visit.crewName}
      </p>
      <p className="mb-1">
        {visit.address}
        {visit.town ? `, ${visit.town}` : ''}
      </p>
      {visit.accessNotes ? <p className="soft mb-2">{visit.accessNotes}</p> : null}
      {visit.note ? <p className="mb-2">{visit.note}</p> : null}
      {over
        ? null
        : runningTimers(view).map((timer) => (
            <p key={timer.stepKey} className="mb-1">
              {timer.title}: <TimeLeft startedAt={timer.startedAt} minutes={timer.minutes} />
            </p>
          ))}
      {view.waiting > 0 ? (
        <p className="soft mb-1">{t('field.fieldDay.keptDeviceNotSent', { waiting: view.waiting })}</p>
      ) : null}
      {view.refused.length + view.refusedPhotos.length > 0 ? (
        <p className="verdict look mb-1">{t('field.fieldDay.somethingNotTakenOffice')}</p>
      ) : null}
      <FieldLink
        className="btn btn-primary w-100 d-flex align-items-center justify-content-center"
        href={fieldHref(visit.id)}
      >
        {openText()}
      </FieldLink>
    </section>
  )
}
