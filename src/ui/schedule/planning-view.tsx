'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import type { AcceptOutcome, LeftChange, PlanRun, PlanWish } from '@/domain/schedule/plan-run'
import type { DurationsData } from '@/server/visits/durations'
import type { PlanningBoardData } from '@/server/schedule/runs'
import { CheckField } from '@/ui/kit/check-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { send } from '@/ui/send'
import { CameUp } from './came-up'
import { EMPTY_WISH } from './empty-wish'
import { FirmPeriods } from './firm-periods'
import { LearntDurations } from './learnt-durations'
import { SideBySide } from './side-by-side'
import { PlanResultSheets } from './plan-result-sheets'
import { LastTakeover } from './last-takeover'
import { usePlanRun } from './use-plan-run'
import { saidWords } from '@/messages/said'
import { jobName } from '@/messages/visits/visit-words'

/** A whole round of the seasons. */
const USUAL_DAYS = 360

/**
 * The season plan: asked for with what-ifs, worked out in the background, shown as changes to take over whole or in
 * part.
 */
export function PlanningView({ data, corrections }: { data: PlanningBoardData; corrections: DurationsData }) {
  const t = useTexts()

  const { today, crews } = data
  const router = useRouter()
  const { run, underWay: busy, problem, errorOf, ask, begin: askFor, stop, drop } = usePlanRun(data.run)
  const [from, setFrom] = useState(addDays(today, 1))
  const [to, setTo] = useState(addDays(today, USUAL_DAYS))
  const [late, setLate] = useState(0)
  const [more, setMore] = useState(0)
  const [away, setAway] = useState<readonly string[]>([])
  const [mayMove, setMayMove] = useState(true)
  const [taken, setTaken] = useState('')
  const [left, setLeft] = useState<readonly LeftChange[]>([])
  const crewName = useMemo(() => {
    const names = new Map<string, string>(crews.map((c) => [c.id, c.name]))
    return (id: string) => names.get(id) ?? t('schedule.planningView.anotherCrew')
  }, [crews, t])
  const begin = (wish: PlanWish) => {
    setTaken('')
    setLeft([])
    void askFor(wish)
  }
  const accept = async (keys: readonly string[]) => {
    const accepted = await ask(send<AcceptOutcome>('POST', `/api/v1/plans/${run!.id}/accept`, { keys }))
    if (!accepted) return
    setTaken(t('schedule.planningView.visitsTakenOver', { taken: accepted.taken }))
    setLeft(accepted.left)
    drop()
    router.refresh()
  }
  return (
    <>
      <div className="page-head">
        <h1>{t('schedule.planningView.planSeason')}</h1>
        <span className="soft">{t('schedule.planningView.fromServicePlansWindows')}</span>
      </div>
      <section className="sheet" aria-label={t('schedule.planningView.whatPlan')}>
        <div className="field-grid">
          <TextField
            label={t('schedule.planningView.from')}
            type="date"
            value={from}
            onChange={(e) => setFrom(e.target.value)}
            error={errorOf('from')}
          />
          <TextField
            label={t('schedule.planningView.to')}
            type="date"
            value={to}
            onChange={(e) => setTo(e.target.value)}
            error={errorOf('to')}
          />
          <QuantityField
            label={t('schedule.planningView.whatIfWindowsLater')}
            kind="number"
            value={late}
            onChange={(v) => setLate(v ?? 0)}
            error={errorOf('lateByDays')}
          />
          <QuantityField
            label={t('schedule.planningView.whatIfCustomersMore')}
            kind="number"
            value={more}
            onChange={(v) => setMore(v ?? 0)}
            error={errorOf('newCustomers')}
          />
        </div>
        <div className="d-flex flex-wrap gap-3 align-items-center mt-2">
          {crews.map((crew) => (
            <CheckField
              key={crew.id}
              label={t('schedule.planningView.whatIfWithout', { name: crew.name })}
              checked={away.includes(crew.id)}
              onChange={(on) => setAway(on ? [...away, crew.id] : away.filter((id) => id !== crew.id))}
            />
          ))}
          <CheckField label={t('schedule.planningView.plannedVisitsMayMove')} checked={mayMove} onChange={setMayMove} />
          <button
            type="button"
            className="btn btn-primary ms-auto"
            disabled={busy || crews.length === 0}
            onClick={() =>
              begin({ ...EMPTY_WISH, from, to, lateByDays: late, crewsAway: [...away], newCustomers: more, mayMove })
            }
          >
            {t('schedule.planningView.workOutPlan')}
          </button>
        </div>
        {errorOf('crewsAway') ? <div className="field-error">{errorOf('crewsAway')}</div> : null}
        {crews.length === 0 ? <p className="mb-0 mt-2">{t('schedule.planningView.addCrewUnderPeople')}</p> : null}
        <ProblemNote problem={problem} />
        <p role="status" className="mb-0 mt-2">
          <span>{taken}</span>
          {taken ? (
            <>
              {' '}
              <Link href="/messages" className="text-decoration-underline">
                {t('schedule.planningView.tellCustomers')}
              </Link>
            </>
          ) : null}
        </p>
        {data.takeover ? <LastTakeover takeover={data.takeover} onUndone={setTaken} ask={ask} /> : null}
        {left.length > 0 ? <LeftOut left={left} /> : null}
        {run && busy ? <Progress run={run} onStop={() => void stop()} /> : null}
        {run?.state === 'stopped' && !run.result ? (
          <p className="mb-0">{t('schedule.planningView.stoppedBeforeBegan')}</p>
        ) : null}
        {run?.state === 'failed' ? <div className="stop-note">{run.problem}</div> : null}
      </section>
      <CameUp today={today} crews={crews} ponds={data.ponds} busy={busy} onAsk={begin} />
      <SideBySide key={data.runs.map((r) => r.id).join()} runs={data.runs} crewName={crewName} />
      <FirmPeriods periods={data.periods} />
      <LearntDurations corrections={corrections} />
      {run?.result && !busy ? (
        <PlanResultSheets run={run} result={run.result} crewName={crewName} onAccept={accept} />
      ) : null}
    </>
  )
}

function LeftOut({ left }: { left: readonly LeftChange[] }) {
  const t = useTexts()

  return (
    <div className="stop-note mt-2">
      <strong>{t('schedule.planningView.visitsLeftThey', { count: left.length })}</strong>
      <ul className="plain-list mb-0">
        {left.map((l) => (
          <li key={l.key}>
            {jobName(l.job, t)}, {l.siteName}: {saidWords(l.why, t)}.
          </li>
        ))}
      </ul>
    </div>
  )
}

function Progress({ run, onStop }: { run: PlanRun; onStop: () => void }) {
  const t = useTexts()

  const percent = Math.round(run.share * 100)
  return (
    <div className="d-flex gap-3 align-items-center mt-2">
      <div
        className="progress flex-grow-1"
        role="progressbar"
        aria-label={t('schedule.planningView.plan')}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
      >
        <div className="progress-bar" style={{ width: `${percent}%` }} />
      </div>
      <span className="soft small">
        {run.state === 'queued' ? t('schedule.planningView.waitingWorker') : `${percent} %`}
      </span>
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onStop}>
        {t('schedule.planningView.stopShowBestSo')}
      </button>
    </div>
  )
}
