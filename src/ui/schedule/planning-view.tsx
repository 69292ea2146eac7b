'use client'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { duration, shortDate } from '@/domain/shared/dates'
import type { AcceptOutcome, LeftChange, PlanResult, PlanRun, PlanWish, WaitingNeed } from '@/domain/schedule/plan-run'
import type { durationsPage } from '@/server/visits/durations'
import type { planningBoard } from '@/server/schedule/runs'
import { CheckField } from '@/ui/kit/check-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { TextField } from '@/ui/kit/text-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import type { WindowJob } from '@/core/season/house-rules'
import { MISSED_ADVICE } from '@/messages/en/windows'
import { blockedWords, jobName, relaxationWords } from '@/messages/en/planning'
import { send } from '@/ui/send'
import { CrunchChart } from './crunch-chart'
import { CameUp } from './came-up'
import { EMPTY_WISH } from './empty-wish'
import { FirmPeriods } from './firm-periods'
import { LearntDurations } from './learnt-durations'
import { SideBySide, wishWords } from './side-by-side'
import { PlanChanges } from './plan-changes'
import { LastTakeover } from './last-takeover'
import { usePlanRun } from './use-plan-run'

type Board = Awaited<ReturnType<typeof planningBoard>>
type Lessons = Awaited<ReturnType<typeof durationsPage>>

/** A whole round of the seasons. */
const USUAL_DAYS = 360

/** The season plan: asked for with what-ifs, worked out in the background, shown as changes to take over whole or in part. */
export function PlanningView({ data, lessons }: { data: Board; lessons: Lessons }) {
  const { today, crews } = data
  const router = useRouter()
  const { run, problem, ask, stop, drop, setProblem } = usePlanRun(data.run)
  const [from, setFrom] = useState(addDays(today, 1))
  const [to, setTo] = useState(addDays(today, USUAL_DAYS))
  const [late, setLate] = useState(0)
  const [more, setMore] = useState(0)
  const [away, setAway] = useState<readonly string[]>([])
  const [mayMove, setMayMove] = useState(true)
  const [taken, setTaken] = useState('')
  const [left, setLeft] = useState<readonly LeftChange[]>([])
  const busy = run?.state === 'queued' || run?.state === 'running'
  const errorOf = (path: string) => problem?.fields?.find((f) => f.path === path)?.message
  const crewName = useMemo(() => {
    const names = new Map<string, string>(crews.map((c) => [c.id, c.name]))
    return (id: string) => names.get(id) ?? 'another crew'
  }, [crews])
  const begin = (wish: PlanWish) => {
    setTaken('')
    setLeft([])
    void ask(wish)
  }
  const accept = async (keys: readonly string[]) => {
    const outcome = await send<AcceptOutcome>('POST', `/api/v1/plans/${run!.id}/accept`, { keys })
    setProblem(outcome.ok ? null : outcome.problem)
    if (!outcome.ok) return
    setTaken(outcome.value.taken === 1 ? '1 visit taken over.' : `${outcome.value.taken} visits taken over.`)
    setLeft(outcome.value.left)
    drop()
    router.refresh()
  }
  return (
    <>
      <div className="page-head">
        <h1>Plan the season</h1>
        <span className="soft">From service plans, windows and follow-ups to days, crews and times. Nothing changes until you take it over.</span>
      </div>
      <section className="sheet" aria-label="What to plan">
        <div className="field-grid">
          <TextField label="From" type="date" value={from} onChange={(e) => setFrom(e.target.value)} error={errorOf('from')} />
          <TextField label="To" type="date" value={to} onChange={(e) => setTo(e.target.value)} error={errorOf('to')} />
          <QuantityField label="What if: windows later by days" kind="number" value={late} onChange={(v) => setLate(v ?? 0)} error={errorOf('lateByDays')} />
          <QuantityField label="What if: customers more" kind="number" value={more} onChange={(v) => setMore(v ?? 0)} error={errorOf('newCustomers')} />
        </div>
        <div className="d-flex flex-wrap gap-3 align-items-center mt-2">
          {crews.map((crew) => (
            <CheckField
              key={crew.id}
              label={`What if: without ${crew.name}`}
              checked={away.includes(crew.id)}
              onChange={(on) => setAway(on ? [...away, crew.id] : away.filter((id) => id !== crew.id))}
            />
          ))}
          <CheckField label="Planned visits may move" checked={mayMove} onChange={setMayMove} />
          <button
            type="button"
            className="btn btn-primary ms-auto"
            disabled={busy || crews.length === 0}
            onClick={() => begin({ ...EMPTY_WISH, from, to, lateByDays: late, crewsAway: [...away], newCustomers: more, mayMove })}
          >
            Work out a plan
          </button>
        </div>
        {errorOf('crewsAway') ? <div className="field-error">{errorOf('crewsAway')}</div> : null}
        {crews.length === 0 ? <p className="mb-0 mt-2">Add a crew under People first.</p> : null}
        <ProblemNote problem={problem} />
        <p role="status" className="mb-0 mt-2">
          <span>{taken}</span>
          {taken ? (
            <>
              {' '}
              <Link href="/letters" className="text-decoration-underline">
                Tell the customers
              </Link>
            </>
          ) : null}
        </p>
        {data.takeover ? <LastTakeover takeover={data.takeover} onUndone={setTaken} onProblem={setProblem} /> : null}
        {left.length > 0 ? <LeftOut left={left} /> : null}
        {run && busy ? <Progress run={run} onStop={() => void stop()} /> : null}
        {run?.state === 'stopped' && !run.result ? <p className="mb-0">Stopped before it began.</p> : null}
        {run?.state === 'failed' ? <div className="stop-note">{run.problem}</div> : null}
      </section>
      <CameUp today={today} crews={crews} ponds={data.ponds} busy={busy} onAsk={begin} />
      <SideBySide key={data.runs.map((r) => r.id).join()} runs={data.runs} crewName={crewName} />
      <FirmPeriods periods={data.periods} />
      <LearntDurations lessons={lessons} />
      {run?.result && !busy ? <Result run={run} result={run.result} crewName={crewName} onAccept={accept} /> : null}
    </>
  )
}

/** By job: it is long, and nobody has to act on it yet. */
function Waiting({ waiting }: { waiting: readonly WaitingNeed[] }) {
  const jobs = [...new Set(waiting.map((w) => w.job))]
  return (
    <section className="sheet" aria-label="Waiting for its window">
      <h2>
        Waiting for its window <span className="soft">{waiting.length}</span>
      </h2>
      <p className="soft">Agreed, and due only after the days of this plan.</p>
      {jobs.map((job) => {
        const list = waiting.filter((w) => w.job === job)
        return (
          <details key={job}>
            <summary>
              <strong>{jobName(job)}</strong>{' '}
              <span className="soft">
                {list.length} {list.length === 1 ? 'pond' : 'ponds'}, from {shortDate(list[0].earliest)} {list[0].earliest.slice(0, 4)}
              </span>
            </summary>
            <ul className="plain-list">
              {list.map((w) => (
                <li key={`${w.siteName} ${w.pondName}`}>
                  {w.siteName}: {w.pondName}{' '}
                  <span className="soft">
                    {shortDate(w.earliest)} – {shortDate(w.latest)} {w.latest.slice(0, 4)}
                  </span>
                </li>
              ))}
            </ul>
          </details>
        )
      })}
    </section>
  )
}

function LeftOut({ left }: { left: readonly LeftChange[] }) {
  return (
    <div className="stop-note mt-2">
      <strong>{left.length === 1 ? '1 visit was left as it is' : `${left.length} visits were left as they are`}</strong>
      <ul className="plain-list mb-0">
        {left.map((l) => (
          <li key={l.key}>
            {jobName(l.job)}, {l.siteName}: {l.why}.
          </li>
        ))}
      </ul>
    </div>
  )
}

function Progress({ run, onStop }: { run: PlanRun; onStop: () => void }) {
  const percent = Math.round(run.share * 100)
  return (
    <div className="d-flex gap-3 align-items-center mt-2">
      <div className="progress flex-grow-1" role="progressbar" aria-label="Plan" aria-valuenow={percent} aria-valuemin={0} aria-valuemax={100}>
        <div className="progress-bar" style={{ width: `${percent}%` }} />
      </div>
      <span className="soft small">{run.state === 'queued' ? 'Waiting for a worker.' : `${percent} %`}</span>
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onStop}>
        Stop, and show the best so far
      </button>
    </div>
  )
}

interface ResultProps {
  readonly run: PlanRun
  readonly result: PlanResult
  readonly crewName: (id: string) => string
  readonly onAccept: (keys: readonly string[]) => Promise<void>
}

function Result({ run, result, crewName, onAccept }: ResultProps) {
  const { changes, unplaced, missed, crunch, kept } = result
  const joined = changes.filter((c) => c.kind === 'joined').length
  const shown = changes.filter((c) => c.kind !== 'shifted')
  const fresh = changes.filter((c) => c.kind === 'new').length
  return (
    <>
      <section className="sheet" aria-label="The plan">
        <h2>
          {shown.length === 0
            ? 'Nothing to change'
            : `${fresh} new ${fresh === 1 ? 'visit' : 'visits'}, ${changes.filter((c) => c.kind === 'moved').length} moved${joined > 0 ? `, ${joined} with more to do` : ''}`}
        </h2>
        <p className="soft mb-2">
          {shortDate(run.wish.from)} – {shortDate(run.wish.to)} {run.wish.to.slice(0, 4)}; {kept} planned visits stay; {duration(result.travelMin)} on the road
          {result.roads === 'crow' ? ' by straight lines, since the roads service did not answer' : ''}.
          {run.state === 'stopped' ? ' Stopped early: the best plan so far.' : ''} Checked by itself before it was shown.
          {result.besides ? ` ${result.besides} on weekends stay where they were put.` : ''}
          {result.overlong?.length
            ? ` Longer than the crew’s hours, and left as they were put: ${result.overlong.map((d) => `${crewName(d.crewId)} on ${shortDate(d.day)}`).join(', ')}.`
            : ''}
          {result.notOnMap.length > 0 ? ` Not on the map, so counted as at the yard: ${result.notOnMap.join(', ')}.` : ''}
          {wishWords(run.wish, crewName) === 'as it is' ? null : (
            <strong>
              {' '}
              {run.wish.reason ? '' : 'A what-if: '}
              {wishWords(run.wish, crewName)}.
            </strong>
          )}
        </p>
        <CrunchChart weeks={crunch} />
      </section>
      {unplaced.length > 0 ? (
        <section className="sheet" aria-label="Without a place">
          <h2>
            Without a place <span className="soft">{unplaced.length}</span>
          </h2>
          <ul className="plain-list among-words">
            {unplaced.map((u, i) => (
              <li key={i}>
                <strong>{jobName(u.job)}</strong>,{' '}
                <Link href={`/ponds/${u.pondId}`}>
                  {u.siteName}: {u.pondName}
                </Link>{' '}
                <span className="soft">
                  ({shortDate(u.window.earliest)} – {shortDate(u.window.latest)})
                </span>
                : {u.reasons.map(blockedWords).join('; ')}.
                {u.relaxations.length > 0 ? (
                  <span className="soft"> It would go with {u.relaxations.map((r) => relaxationWords(r, crewName)).join('; or ')}.</span>
                ) : null}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {missed.length > 0 ? (
        <section className="sheet" aria-label="Missed">
          <h2>
            Missed this season <span className="soft">{missed.length}</span>
          </h2>
          <ul className="plain-list among-words">
            {missed.map((m, i) => (
              <li key={i}>
                {jobName(m.job)}, {m.siteName}: {m.pondName}; its window ended {shortDate(m.latest)}.{' '}
                <span className="soft">{MISSED_ADVICE[m.job as WindowJob] ?? ''}</span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {result.noWindow?.length > 0 ? (
        <section className="sheet" aria-label="Agreed without a window">
          <h2>
            Agreed, but it does not come there <span className="soft">{result.noWindow.length}</span>
          </h2>
          <p className="soft">
            By the house practice or the climate these jobs have no window at these ponds. Agree something else there, or change the practice.
          </p>
          <ul className="plain-list among-words">
            {result.noWindow.map((n, i) => (
              <li key={i}>
                {jobName(n.job)}, {n.siteName}: {n.pondName}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {result.waiting?.length > 0 ? <Waiting waiting={result.waiting} /> : null}
      {shown.length > 0 && run.wish.newCustomers === 0 ? <PlanChanges key={run.id} changes={changes} crewName={crewName} onAccept={onAccept} /> : null}
    </>
  )
}
