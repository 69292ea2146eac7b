'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import Offcanvas from 'react-bootstrap/Offcanvas'
import { clockAfter } from '@/domain/schedule/clash'
import type { Crew } from '@/domain/people/people'
import { MoveVisitInput, type VisitInContext } from '@/domain/visits/visit'
import { fieldHref } from '@/domain/field/field-href'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { Unfold } from '@/ui/kit/unfold'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useDone } from '@/ui/use-done'
import { useSave } from '@/ui/use-save'
import { useSchemaForm } from '@/ui/use-schema-form'
import { WhyVisitNote } from './why-visit'

interface MoveVisitProps {
  readonly visit: VisitLine
  readonly crews: readonly Crew[]
  readonly mayPlan: boolean
  readonly onClose: () => void
}

/** Where a visit stands after someone else moved it first. */
function NowStands({ visit }: { visit: VisitInContext }) {
  const t = useTexts()

  return (
    <p role="status">
      {t('rounds.moveVisit.nowStandsCloseOpen', {
        day: t.shortDate(visit.day),
        startTime: visit.startTime,
        crewName: visit.crewName,
      })}
    </p>
  )
}

/** One stop: open it, move it, or take it off the plan. */
export function MoveVisit({ visit, crews, mayPlan, onClose }: MoveVisitProps) {
  const t = useTexts()

  const { field, control, submit, problem, sending } = useSchemaForm({
    schema: MoveVisitInput,
    values: {
      day: visit.day,
      startTime: visit.startTime,
      crewId: visit.crewId,
      locked: visit.locked,
      version: visit.version,
    },
  })
  const cancelled = useSave()
  const refused = problem ?? cancelled.problem
  const done = useDone()
  const cancel = async () => {
    if (!(await cancelled.save('DELETE', `/api/v1/visits/${visit.id}`, { version: visit.version }))) return
    onClose()
    done(t('rounds.moveVisit.cancelled', { job: visit.jobName, site: visit.siteName }), () =>
      send('POST', `/api/v1/visits/${visit.id}/restore`),
    )
  }
  const { value: locked, onChange: setLocked } = control('locked')
  const moved = (_: unknown, to: { readonly day: string; readonly startTime: string; readonly crewId: string }) => {
    onClose()
    const { day, startTime, crewId, locked: wasLocked, version } = visit
    if (to.day === day && to.startTime === startTime && to.crewId === crewId) return
    done(t('rounds.roundsView.moved'), () =>
      send('PUT', `/api/v1/visits/${visit.id}`, {
        day,
        startTime,
        crewId,
        locked: wasLocked,
        // as the move has left it: who changed it since is not overruled
        version: version + 1,
      }),
    )
  }
  const movable = mayPlan && visit.state === 'planned'
  return (
    <Offcanvas
      show
      onHide={onClose}
      placement="end"
      backdrop={false}
      scroll
      aria-label={t('rounds.moveVisit.chosenVisit')}
      className="no-print"
    >
      <Offcanvas.Header closeButton closeLabel={t('rounds.moveVisit.close')}>
        <h2 className="mb-0">
          {visit.jobName}: {visit.siteName}, {visit.pondName}
        </h2>
      </Offcanvas.Header>
      <Offcanvas.Body>
        <p className="d-flex gap-3 align-items-baseline flex-wrap">
          <span className="soft">
            {t.shortDate(visit.day)}, {visit.startTime}–{clockAfter(visit.startTime, visit.plannedMinutes)},{' '}
            {visit.crewName}
          </span>
          <span className="soft">{t(`visits.visitStateNames.${visit.state}`)}</span>
          <Link href={visit.state === 'done' ? `/visits/${visit.id}/report` : fieldHref(visit.id)}>
            {visit.state === 'done' ? t('rounds.moveVisit.readReport') : t('rounds.moveVisit.openFieldSheet')}
          </Link>
          <Link href={`/ponds/${visit.pondId}`}>{t('rounds.moveVisit.openPond')}</Link>
        </p>
        {movable ? (
          <form
            className="mt-2"
            noValidate
            onSubmit={submit((body) => send('PUT', `/api/v1/visits/${visit.id}`, body), moved)}
          >
            <div className="field-grid">
              <TextField label={t('rounds.moveVisit.day')} type="date" {...field('day')} />
              <TextField label={t('rounds.moveVisit.start')} type="time" {...field('startTime')} />
              <ChoiceField
                label={t('rounds.moveVisit.crew')}
                options={crews.map((c) => ({ value: c.id, label: c.name }))}
                {...field('crewId')}
              />
            </div>
            <Unfold label={t('rounds.moveVisit.whyHereWhyThen')} className="my-2">
              <WhyVisitNote
                visitId={visit.id}
                crewName={(id) => crews.find((c) => c.id === id)?.name ?? t('rounds.moveVisit.anotherCrew')}
              />
            </Unfold>
            <CheckField
              label={t('rounds.moveVisit.promisedCustomerPlansLeave')}
              checked={locked}
              onChange={setLocked}
            />
            <ProblemNote problem={refused} />
            {refused?.kind === 'conflict' ? <NowStands visit={refused.current as VisitInContext} /> : null}
            <button className="btn btn-sm btn-primary mt-2 me-2" disabled={sending}>
              {t('rounds.moveVisit.moveVisit')}
            </button>
            <button type="button" className="btn btn-sm btn-outline-danger mt-2" onClick={() => void cancel()}>
              {t('rounds.moveVisit.takeOffPlan')}
            </button>
          </form>
        ) : null}
      </Offcanvas.Body>
    </Offcanvas>
  )
}
