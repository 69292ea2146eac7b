'use client'
import { useState } from 'react'
import { duration, instant, shortDate } from '@/domain/shared/dates'
import type { PlanSummary } from '@/domain/schedule/plan-summary'
import { usePerson } from '@/ui/person-context'
import { CrunchChart } from './crunch-chart'

/** What a plan was asked for, in a few words. */
export function wishWords(wish: PlanSummary['wish'], crewName: (id: string) => string): string {
  const words = [
    wish.reason,
    wish.lateByDays > 0 ? `windows ${wish.lateByDays} days later` : '',
    wish.crewsAway.length > 0 ? `without ${wish.crewsAway.map(crewName).join(', ')}` : '',
    wish.newCustomers > 0 ? `${wish.newCustomers} customers more` : '',
  ].filter(Boolean)
  return words.length === 0 ? 'as it is' : words.join(', ')
}

/** Plans laid beside each other: what a late spring, a crew less or ten customers more would mean. */
export function SideBySide({ runs, crewName }: { runs: readonly PlanSummary[]; crewName: (id: string) => string }) {
  const { timeZone } = usePerson()
  const [chosen, setChosen] = useState<readonly string[]>(runs.slice(0, 2).map((r) => r.id))
  if (runs.length < 2) return null
  const shown = runs.filter((r) => chosen.includes(r.id))
  return (
    <details className="sheet">
      <summary>
        <strong>Side by side</strong> <span className="soft">the last {runs.length} plans worked out</span>
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
            {wishWords(run.wish, crewName)} <span className="soft small">{instant(run.askedAt, timeZone)}</span>
          </label>
        ))}
      </div>
      <div style={{ overflowX: 'auto' }} role="region" aria-label="Plans side by side" tabIndex={0}>
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">Plan</th>
              {shown.map((r) => (
                <th key={r.id} scope="col">
                  {wishWords(r.wish, crewName)}
                  <div className="soft small fw-normal">
                    {shortDate(r.wish.from)} – {shortDate(r.wish.to)} {r.wish.to.slice(0, 4)}
                  </div>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <Row name="Visits in the plan" runs={shown} of={(r) => String(r.visits)} />
            <Row name="Moved" runs={shown} of={(r) => String(r.moved)} />
            <Row name="Without a place" runs={shown} of={(r) => String(r.unplaced)} />
            <Row name="Off the best day, on average" runs={shown} of={(r) => `${r.meanOffDays.toFixed(1)} days`} />
            <Row name="On the road" runs={shown} of={(r) => duration(r.travelMin)} />
            <Row name="Weeks with more work than hours" runs={shown} of={(r) => String(r.tightWeeks)} />
          </tbody>
        </table>
      </div>
      <div className="columns">
        {shown.slice(0, 2).map((r) => (
          <div key={r.id}>
            <strong>{wishWords(r.wish, crewName)}</strong>
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
