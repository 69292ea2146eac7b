'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import { duration } from '@/domain/shared/dates'
import type { PlanResult, PlanRun, WaitingNeed } from '@/domain/schedule/plan-run'
import { blockedWords, relaxationWords } from '@/messages/schedule/planning'
import { missedAdvice } from '@/messages/season/windows'
import { jobName } from '@/messages/visits/visit-words'
import { CrunchChart } from './crunch-chart'
import { PlanChanges } from './plan-changes'
import { isAsItIs, wishWords } from './side-by-side'

interface ResultProps {
  readonly run: PlanRun
  readonly result: PlanResult
  readonly crewName: (id: string) => string
  readonly onAccept: (keys: readonly string[]) => Promise<void>
}

/** A plan that was worked out: what it changes, what found no place and why, what was missed, what waits. */
export function PlanResultSheets({ run, result, crewName, onAccept }: ResultProps) {
  const t = useTexts()
  const { changes, unplaced, missed, crunch, kept } = result
  const joined = changes.filter((c) => c.kind === 'joined').length
  const shown = changes.filter((c) => c.kind !== 'shifted')
  const fresh = changes.filter((c) => c.kind === 'new').length
  return (
    <>
      <section className="sheet" aria-label={t('schedule.planningView.plan2')}>
        <h2>
          {shown.length === 0
            ? t('schedule.planningView.nothingChange')
            : t('schedule.planningView.newMoved', {
                fresh,
                count: changes.filter((c) => c.kind === 'moved').length,
                joined: joined > 0 ? t('schedule.planningView.moreDo', { joined }) : '',
              })}
        </h2>
        <p className="soft mb-2">
          {t('schedule.planningView.plannedVisitsStayRoad', {
            from: t.shortDate(run.wish.from),
            to: t.shortDate(run.wish.to),
            to2: run.wish.to.slice(0, 4),
            kept,
            travelMin: duration(result.travelMin),
            roads: result.roads === 'straight-line' ? t('schedule.planningView.straightLinesSinceRoads') : '',
            state: run.state === 'stopped' ? t('schedule.planningView.stoppedEarlyBestPlan') : '',
            besides: result.besides
              ? t('schedule.planningView.weekendsStayWhereThey', { besides: result.besides })
              : '',
            count: result.overlong?.length
              ? t('schedule.planningView.longerThanCrewsHours', {
                  map: result.overlong
                    .map((d) => t('schedule.planningView.on', { crewId: crewName(d.crewId), day: t.shortDate(d.day) }))
                    .join(', '),
                })
              : '',
            count2:
              result.notOnMap.length > 0
                ? t('schedule.planningView.notMapSoCounted', { notOnMap: result.notOnMap.join(', ') })
                : '',
          })}
          {isAsItIs(run.wish) ? null : (
            <strong>
              {' '}
              {run.wish.reason ? '' : t('schedule.planningView.whatIf')}
              {wishWords(run.wish, crewName, t)}.
            </strong>
          )}
        </p>
        <CrunchChart weeks={crunch} />
      </section>
      {unplaced.length > 0 ? <Unplaced unplaced={unplaced} crewName={crewName} /> : null}
      {missed.length > 0 ? <Missed missed={missed} /> : null}
      {result.noWindow?.length > 0 ? (
        <section className="sheet" aria-label={t('schedule.planningView.agreedWithoutWindow')}>
          <h2>
            {t('schedule.planningView.agreedButDoesNot')} <span className="soft">{result.noWindow.length}</span>
          </h2>
          <p className="soft">{t('schedule.planningView.houseRulesClimateThese')}</p>
          <ul className="plain-list among-words">
            {result.noWindow.map((n, i) => (
              <li key={i}>
                {jobName(n.job, t)}, {n.siteName}: {n.pondName}
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {result.waiting?.length > 0 ? <Waiting waiting={result.waiting} /> : null}
      {shown.length > 0 && run.wish.newCustomers === 0 ? (
        <PlanChanges key={run.id} changes={changes} crewName={crewName} onAccept={onAccept} />
      ) : null}
    </>
  )
}

interface UnplacedProps {
  readonly unplaced: PlanResult['unplaced']
  readonly crewName: (id: string) => string
}

function Unplaced({ unplaced, crewName }: UnplacedProps) {
  const t = useTexts()
  return (
    <section className="sheet" aria-label={t('schedule.planningView.withoutPlace')}>
      <h2>
        {t('schedule.planningView.withoutPlace')} <span className="soft">{unplaced.length}</span>
      </h2>
      <ul className="plain-list among-words">
        {unplaced.map((u, i) => (
          <li key={i}>
            <strong>{jobName(u.job, t)}</strong>,{' '}
            <Link href={`/ponds/${u.pondId}`}>
              {u.siteName}: {u.pondName}
            </Link>{' '}
            <span className="soft">
              ({t.shortDate(u.window.earliest)} – {t.shortDate(u.window.latest)})
            </span>
            : {u.reasons.map((reason) => blockedWords(reason, t)).join('; ')}.
            {u.relaxations.length > 0 ? (
              <span className="soft">
                {' '}
                {t('schedule.planningView.wouldGo', {
                  map: u.relaxations
                    .map((r) => relaxationWords(r, crewName, t))
                    .join(t('schedule.planningView.orElse')),
                })}
              </span>
            ) : null}
          </li>
        ))}
      </ul>
    </section>
  )
}

function Missed({ missed }: Pick<PlanResult, 'missed'>) {
  const t = useTexts()
  return (
    <section className="sheet" aria-label={t('schedule.planningView.missed')}>
      <h2>
        {t('schedule.planningView.missedSeason')} <span className="soft">{missed.length}</span>
      </h2>
      <ul className="plain-list among-words">
        {missed.map((m, i) => (
          <li key={i}>
            {t('schedule.planningView.windowEnded', {
              job: jobName(m.job, t),
              siteName: m.siteName,
              pondName: m.pondName,
              latest: t.shortDate(m.latest),
            })}{' '}
            <span className="soft">{missedAdvice(m.job, t)}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}

/** By job: it is long, and nobody has to act on it yet. */
function Waiting({ waiting }: { waiting: readonly WaitingNeed[] }) {
  const t = useTexts()

  const jobs = [...new Set(waiting.map((w) => w.job))]
  return (
    <section className="sheet" aria-label={t('schedule.planningView.waitingWindow')}>
      <h2>
        {t('schedule.planningView.waitingWindow')} <span className="soft">{waiting.length}</span>
      </h2>
      <p className="soft">{t('schedule.planningView.agreedDueOnlyAfter')}</p>
      {jobs.map((job) => {
        const list = waiting.filter((w) => w.job === job)
        return (
          <details key={job}>
            <summary>
              <strong>{jobName(job, t)}</strong>{' '}
              <span className="soft">
                {t('schedule.planningView.from2', {
                  count: list.length,
                  earliest: t.shortDate(list[0]!.earliest),
                  earliest2: list[0]!.earliest.slice(0, 4),
                })}
              </span>
            </summary>
            <ul className="plain-list">
              {list.map((w) => (
                <li key={`${w.siteName} ${w.pondName}`}>
                  {w.siteName}: {w.pondName}{' '}
                  <span className="soft">
                    {t.shortDate(w.earliest)} – {t.datedDay(w.latest)}
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
