'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { duration, longDate } from '@/domain/dates'
import { nextStep, stepStates } from '@/domain/visit-progress'
import type { fieldVisit } from '@/server/use-cases/field'
import { ProblemNote } from '@/ui/components/problem-note'
import { send, type SendProblem } from '@/ui/send'
import { TellArrival } from '@/ui/rounds/tell-arrival'
import { QuickNote } from './quick-note'
import { StepCard } from './step-card'
import { StepList } from './step-list'

export type VisitData = Awaited<ReturnType<typeof fieldVisit>>

/** One visit at the water's edge: the step at hand large, the rest folded. */
export function VisitSheet({ data }: { data: VisitData }) {
  const { visit, log } = data
  const router = useRouter()
  const [chosen, setChosen] = useState<string | null>(null)
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [busy, setBusy] = useState(false)
  const { steps } = visit.job
  const states = stepStates(steps, log)
  const answered = steps.filter((s) => states.get(s.key)?.status !== 'open').length
  const step = steps.find((s) => s.key === chosen) ?? nextStep(steps, states)

  const act = async (verb: 'start' | 'finish') => {
    setBusy(true)
    const outcome = await send('POST', `/api/v1/visits/${visit.id}/${verb}`)
    setBusy(false)
    if (!outcome.ok) return setProblem(outcome.problem)
    setProblem(null)
    if (verb === 'finish') router.push(`/visits/${visit.id}/report`)
    else router.refresh()
  }
  return (
    <>
      <h1 className="fs-4 mb-0">
        {visit.siteName}: {visit.pondName}
      </h1>
      <p className="soft mb-2">
        {visit.job.name} · {longDate(visit.day)} · about {duration(visit.plannedMinutes)}
      </p>
      {visit.state === 'planned' ? (
        <section className="sheet">
          {visit.accessNotes ? <p>{visit.accessNotes}</p> : null}
          {visit.note ? <p>{visit.note}</p> : null}
          <p className="soft">{steps.length} steps. The app advises; local codes and licensed practice decide.</p>
          <ProblemNote problem={problem} />
          {data.mayLog && visit.day === data.today ? <TellArrival visitId={visit.id} siteName={visit.siteName} time={visit.startTime} late={false} /> : null}
          {data.mayLog ? (
            <button className="btn btn-primary w-100" disabled={busy} onClick={() => void act('start')}>
              Start the visit
            </button>
          ) : (
            <p className="soft mb-0">Crews log this visit.</p>
          )}
        </section>
      ) : null}
      {visit.state === 'done' ? (
        <Link className="btn btn-primary w-100 d-flex align-items-center justify-content-center" href={`/visits/${visit.id}/report`}>
          Read the report
        </Link>
      ) : null}
      {visit.state === 'under-way' ? (
        <>
          <div className="d-flex align-items-center gap-2 mb-2" aria-label={`${answered} of ${steps.length} steps done`}>
            <div className="bar-track flex-grow-1" style={{ height: '0.6rem' }}>
              <span style={{ width: `${(answered / steps.length) * 100}%` }} />
            </div>
            <span>
              {answered} of {steps.length}
            </span>
          </div>
          {step ? <StepCard key={step.key} step={step} data={data} states={states} onAnswered={() => setChosen(null)} /> : null}
          {!step ? (
            <section className="step-now">
              <h2>All steps are answered</h2>
              <p>Finishing writes the report, puts the readings on the pond and sets the follow-up test.</p>
              <ProblemNote problem={problem} />
              <button className="btn btn-primary w-100" disabled={busy} onClick={() => void act('finish')}>
                Finish the visit
              </button>
            </section>
          ) : null}
          <QuickNote visitId={visit.id} />
        </>
      ) : null}
      <StepList steps={steps} states={states} current={step?.key ?? null} onChoose={visit.state === 'under-way' ? setChosen : null} />
    </>
  )
}
