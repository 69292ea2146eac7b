'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { shortDate } from '@/domain/shared/dates'
import type { Crew } from '@/domain/people/people'
import type { VisitInContext } from '@/domain/visits/visit'
import { fieldHref } from '@/domain/field/field-href'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { Unfold } from '@/ui/kit/unfold'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'
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
        day: shortDate(visit.day),
        startTime: visit.startTime,
        crewName: visit.crewName,
      })}
    </p>
  )
}

/** One stop: open it, move it, or take it off the plan. */
export function MoveVisit({ visit, crews, mayPlan, onClose }: MoveVisitProps) {
  const t = useTexts()

  const router = useRouter()
  const [day, setDay] = useState(visit.day)
  const [startTime, setStartTime] = useState(visit.startTime)
  const [crewId, setCrewId] = useState(visit.crewId)
  const [locked, setLocked] = useState(visit.locked)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const act = async (method: 'PUT' | 'DELETE', body: unknown) => {
    const outcome = await send(method, `/api/v1/visits/${visit.id}`, body)
    if (!outcome.ok) return setProblem(outcome.problem)
    onClose()
    router.refresh()
  }
  const movable = mayPlan && visit.state === 'planned'
  return (
    <section className="sheet mt-3" aria-label={t('rounds.moveVisit.chosenVisit')}>
      <div className="d-flex gap-3 align-items-baseline flex-wrap">
        <h2 className="mb-0">
          {visit.jobName}: {visit.siteName}, {visit.pondName}
        </h2>
        <span className="soft">{t(`visits.visitStateNames.${visit.state}`)}</span>
        <Link href={visit.state === 'done' ? `/visits/${visit.id}/report` : fieldHref(visit.id)}>
          {visit.state === 'done' ? t('rounds.moveVisit.readReport') : t('rounds.moveVisit.openFieldSheet')}
        </Link>
        <Link href={`/ponds/${visit.pondId}`}>{t('rounds.moveVisit.openPond')}</Link>
        <button type="button" className="btn btn-sm btn-outline-secondary ms-auto" onClick={onClose}>
          {t('rounds.moveVisit.close')}
        </button>
      </div>
      {movable ? (
        <form
          className="mt-2"
          onSubmit={(e) => {
            e.preventDefault()
            void act('PUT', { day, startTime, crewId, locked, version: visit.version })
          }}
        >
          <div className="field-grid">
            <TextField
              label={t('rounds.moveVisit.day')}
              type="date"
              value={day}
              onChange={(e) => setDay(e.target.value)}
            />
            <TextField
              label={t('rounds.moveVisit.start')}
              type="time"
              value={startTime}
              onChange={(e) => setStartTime(e.target.value)}
            />
            <ChoiceField
              label={t('rounds.moveVisit.crew')}
              value={crewId}
              onChange={(e) => setCrewId(e.target.value as typeof crewId)}
              options={crews.map((c) => ({ value: c.id, label: c.name }))}
            />
          </div>
          <Unfold label={t('rounds.moveVisit.whyHereWhyThen')} className="my-2">
            <WhyVisitNote
              visitId={visit.id}
              crewName={(id) => crews.find((c) => c.id === id)?.name ?? t('rounds.moveVisit.anotherCrew')}
            />
          </Unfold>
          <CheckField label={t('rounds.moveVisit.promisedCustomerPlansLeave')} checked={locked} onChange={setLocked} />
          <ProblemNote problem={problem} />
          {problem?.kind === 'conflict' ? <NowStands visit={problem.current as VisitInContext} /> : null}
          <button className="btn btn-sm btn-primary mt-2 me-2">{t('rounds.moveVisit.moveVisit')}</button>
          <button
            type="button"
            className="btn btn-sm btn-outline-danger mt-2"
            onClick={() => void act('DELETE', { version: visit.version })}
          >
            {t('rounds.moveVisit.takeOffPlan')}
          </button>
        </form>
      ) : null}
    </section>
  )
}
