'use client'
import { useTexts } from '@/ui/kit/texts'
import { useEffect, useRef, useState } from 'react'
import { duration } from '@/domain/shared/dates'
import { nextStep, stepStates } from '@/domain/visits/visit-progress'
import { fieldHref } from '@/domain/field/field-href'
import { TellArrival } from '@/ui/rounds/tell-arrival'
import type { VisitView } from './device/device-view'
import { useField } from './field-context'
import { FieldLink } from './field-link'
import { ForecastRisksNote } from './forecast-risks-note'
import { goTo } from './use-field-place'
import { NotTaken } from './not-taken'
import { StopPonds } from './stop-ponds'
import { StepCard } from './steps/step-card'
import { StepList } from './steps/step-list'
import { VisitExtras } from './visit-extras'

/** One visit at the water's edge: the step at hand large, the rest folded. */
export function VisitSheet({ view, others }: { view: VisitView; others: readonly VisitView[] }) {
  const t = useTexts()

  const { visit, log } = view
  const { person, today, log: keep, sync } = useField()
  const [chosen, setChosen] = useState<string | null>(null)
  const atHand = useRef<HTMLDivElement>(null)
  // the list lies far below: what is chosen there is brought to where it is answered
  useEffect(() => {
    if (chosen) atHand.current?.focus()
  }, [chosen])
  const { steps } = visit.job
  const states = stepStates(steps, log)
  const answered = steps.filter((s) => states.get(s.key)?.status !== 'open').length
  const underWay = visit.state === 'under-way'
  const over = visit.state === 'done' || visit.state === 'given-up'
  // what is over is corrected only where it is asked for
  const step = steps.find((s) => s.key === chosen) ?? (underWay ? nextStep(steps, states) : undefined)

  const waiting = others.filter((o) => o.visit.state === 'planned')
  const startAll = async () => {
    for (const { visit: v } of [view, ...waiting]) await keep(v.id, { kind: 'started' })
  }
  const finish = async () => {
    await keep(visit.id, { kind: 'finished', ending: 'done', reason: '' })
    // the stop goes on at its next pond
    const next = others.find((o) => o.visit.state === 'under-way' || o.visit.state === 'planned')
    if (next) return goTo(fieldHref(next.visit.id))
    if ((await sync()) === 'synced') window.location.assign(`/visits/${visit.id}/report`)
    else goTo('/field')
  }
  return (
    <>
      <p className="mb-0">
        <FieldLink href="/field" className="back-link">
          {t('field.visitSheet.allStops')}
        </FieldLink>
      </p>
      <h1 className="fs-4 mb-0">
        {visit.siteName}: {visit.pondName}
      </h1>
      <p className="soft mb-2">
        {t('field.visitSheet.about', {
          name: visit.job.name,
          day: t.longDate(visit.day),
          plannedMinutes: duration(visit.plannedMinutes),
        })}
      </p>
      <StopPonds view={view} others={others} />
      <NotTaken view={view} />
      {visit.state === 'planned' || visit.state === 'cancelled' ? (
        <section className="sheet">
          {visit.state === 'cancelled' ? (
            <p className="verdict look">{t('field.visitSheet.officeHasCalledVisit')}</p>
          ) : null}
          {visit.accessNotes ? <p>{visit.accessNotes}</p> : null}
          {visit.note ? <p>{visit.note}</p> : null}
          <NotesForNextSeason notesForNextSeason={view.notesForNextSeason} />
          <ForecastRisksNote forecastRisks={view.forecastRisks} />
          <p className="soft">{t('field.visitSheet.stepsAppAdvisesLocal', { count: steps.length })}</p>
          {person.mayLog && visit.day === today ? (
            <TellArrival visitId={visit.id} siteName={visit.siteName} time={visit.startTime} late={false} />
          ) : null}
          {person.mayLog ? (
            <>
              <button className="btn btn-primary w-100" onClick={() => void keep(visit.id, { kind: 'started' })}>
                {t('field.visitSheet.startVisit')}
              </button>
              {waiting.length > 0 ? (
                <button className="btn btn-outline-primary w-100 mt-2" onClick={() => void startAll()}>
                  {t('field.visitSheet.startAllPondsStop', { count: waiting.length + 1 })}
                </button>
              ) : null}
            </>
          ) : (
            <p className="soft mb-0">{t('field.visitSheet.crewsLogVisit')}</p>
          )}
        </section>
      ) : null}
      {over ? <Over view={view} /> : null}
      {underWay ? (
        <div
          className="d-flex align-items-center gap-2 mb-2"
          aria-label={t('field.visitSheet.stepsDone', { answered, count: steps.length })}
        >
          <div className="bar-track flex-grow-1" style={{ height: '0.6rem' }}>
            <span style={{ width: `${(answered / steps.length) * 100}%` }} />
          </div>
          <span>{t('field.visitSheet.of', { answered, count: steps.length })}</span>
        </div>
      ) : null}
      {underWay ? <NotesForNextSeason notesForNextSeason={view.notesForNextSeason} /> : null}
      {underWay ? <ForecastRisksNote forecastRisks={view.forecastRisks} /> : null}
      <div ref={atHand} tabIndex={-1} className="step-at-hand">
        {step && person.mayLog ? (
          <StepCard
            key={step.key}
            step={step}
            view={view}
            others={others}
            states={states}
            onAnswered={() => setChosen(null)}
          />
        ) : null}
      </div>
      {underWay && !step ? (
        <section className="step-now">
          <h2>{t('field.visitSheet.allStepsAnswered')}</h2>
          <p>{t('field.visitSheet.finishingWritesReportPuts')}</p>
          <button className="btn btn-primary w-100" onClick={() => void finish()}>
            {t('field.visitSheet.finishVisit')}
          </button>
        </section>
      ) : null}
      {(underWay || visit.state === 'planned') && person.mayLog ? <VisitExtras view={view} /> : null}
      <StepList
        steps={steps}
        states={states}
        current={step?.key ?? null}
        onChoose={(underWay || over) && person.mayLog ? setChosen : null}
      />
    </>
  )
}

/** What an earlier visit asks this one to heed. */
function NotesForNextSeason({ notesForNextSeason }: { notesForNextSeason: readonly string[] }) {
  const t = useTexts()

  if (notesForNextSeason.length === 0) return null
  return (
    <div className="amount">
      <strong>{t('field.visitSheet.notedSeason')}</strong>
      <ul className="mb-0 ps-3">
        {notesForNextSeason.map((note) => (
          <li key={note}>{note}</li>
        ))}
      </ul>
    </div>
  )
}

function Over({ view: { visit, waiting } }: { view: VisitView }) {
  const t = useTexts()

  return (
    <section className="sheet">
      <p>
        {visit.state === 'done'
          ? t('field.visitSheet.visitFinished')
          : t('field.visitSheet.visitCouldNotDone', {
              endingReason: visit.endingReason ? `: ${visit.endingReason}` : '',
            })}{' '}
        {waiting > 0 ? t('field.visitSheet.goesOfficeSoonThere') : ''}
      </p>
      {waiting === 0 ? (
        <a
          className="btn btn-primary w-100 d-flex align-items-center justify-content-center"
          href={`/visits/${visit.id}/report`}
        >
          {t('field.visitSheet.readReport')}
        </a>
      ) : null}
      <p className="soft mt-2 mb-0">{t('field.visitSheet.stepBelowCanStill')}</p>
    </section>
  )
}
