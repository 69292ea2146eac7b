'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { duration } from '@/domain/shared/dates'
import type { PlanSummary } from '@/domain/schedule/plan-summary'
import { usePerson } from '@/ui/person-context'
import { CrunchChart } from './crunch-chart'

/** Whether nothing was wished for: the season as the file has it. */
export const isAsItIs = ({ reason, lateByDays, crewsAway, newCustomers }: PlanSummary['wish']): boolean =>
  reason === '' && lateByDays === 0 && crewsAway.length === 0 && newCustomers === 0

/** What a plan was asked for, in a few words. */
export function wishWords(wish: PlanSummary['wish'], crewName: (id: string) => string, t: Texts): string {
  if (isAsItIs(wish)) return t('schedule.sideBySide.asItIs')
  const words = [
    wish.reason,
    wish.lateByDays > 0 ? t('schedule.sideBySide.windowsDaysLater', { lateByDays: wish.lateByDays }) : '',
    wish.crewsAway.length > 0
      ? t('schedule.sideBySide.without', { crewName: wish.crewsAway.map(crewName).join(', ') })
      : '',
    wish.newCustomers > 0 ? t('schedule.sideBySide.customersMore', { newCustomers: wish.newCustomers }) : '',
  ].filter(Boolean)
  return words.join(', ')
}

/** Plans laid beside each other: what a late spring, a crew less or ten customers more would mean. */
export function SideBySide({ runs, crewName }: { runs: readonly PlanSummary[]; crewName: (id: string) => string }) {
  const t = useTexts()

  const { timeZone } = usePerson()
  const [chosen, setChosen] = useState<readonly string[]>(runs.slice(0, 2).map((r) => r.id))
  if (runs.length < 2) return null
  const shown = runs.filter((r) => chosen.includes(r.id))
  return (
    <details className="sheet">
      <summary>
        <strong>{t('schedule.sideBySide.sideSide')}</strong>{' '}
        <span className="soft">{t('schedule.sideBySide.lastPlansWorkedOut', { count: runs.length })}</span>
      </summary>
      <div className="d-flex flex-wrap gap-3 my-2">
        {runs.map((run) => (
          <label key={run.id}>
            <input
              type="checkbox"
              className="form-check-input me-1"
              checked={chosen.includes(run.id)}
              onChange={(e) => setChosen(e.target.checked ? [...chosen, run.id] : chosen.filter((id) => id !== run.id))}
            />
            {wishWords(run.wish, crewName, t)} <span className="soft small">{t.instant(run.askedAt, timeZone)}</span>
          </label>
        ))}
      </div>
      <div style={{ overflowX: 'auto' }} role="region" aria-label={t('schedule.sideBySide.plansSideSide')} tabIndex={0}>
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">{t('schedule.sideBySide.plan')}</th>
              {shown.map((r) => (
                <th key={r.id} scope="col">
                  {wishWords(r.wish, crewName, t)}
                  <div className="soft small fw-normal">
                    {t.shortDate(r.wish.from)} – {t.datedDay(r.wish.to)}
                  </div>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <Row name={t('schedule.sideBySide.visits')} runs={shown} of={(r) => String(r.visits)} />
            <Row name={t('schedule.sideBySide.moved')} runs={shown} of={(r) => String(r.moved)} />
            <Row name={t('schedule.sideBySide.unplaced')} runs={shown} of={(r) => String(r.unplaced)} />
            <Row
              name={t('schedule.sideBySide.offBest')}
              runs={shown}
              of={(r) => t('schedule.sideBySide.days', { meanOffDays: r.meanOffDays.toFixed(1) })}
            />
            <Row name={t('schedule.sideBySide.travel')} runs={shown} of={(r) => duration(r.travelMin)} />
            <Row name={t('schedule.sideBySide.tight')} runs={shown} of={(r) => String(r.tightWeeks)} />
          </tbody>
        </table>
      </div>
      <div className="columns">
        {shown.slice(0, 2).map((r) => (
          <div key={r.id}>
            <strong>{wishWords(r.wish, crewName, t)}</strong>
            <CrunchChart weeks={r.crunch} />
          </div>
        ))}
      </div>
    </details>
  )
}

function Row({ name, runs, of }: { name: string; runs: readonly PlanSummary[]; of: (run: PlanSummary) => string }) {
  return (
    <tr>
      <th scope="row" className="fw-normal">
        {name}
      </th>
      {runs.map((r) => (
        <td key={r.id}>{of(r)}</td>
      ))}
    </tr>
  )
}
