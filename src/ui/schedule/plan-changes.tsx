'use client'
import { useMemo, useState } from 'react'
import { duration, shortDate } from '@/domain/shared/dates'
import type { PlanChange } from '@/domain/schedule/plan-run'
import { jobName, tellWords, whyMovedWords } from '@/messages/en/planning'
import { mondayOf } from '@/core/numeric/calendar'

interface PlanChangesProps {
  readonly changes: readonly PlanChange[]
  readonly crewName: (id: string) => string
  readonly onAccept: (keys: readonly string[]) => Promise<void>
}

/** The plan as a list of changes by week, to take over whole or in part. */
export function PlanChanges({ changes: all, crewName, onAccept }: PlanChangesProps) {
  // a shift of the hour that nobody has to be told of goes along with what needs it
  const changes = useMemo(() => all.filter((c) => c.kind !== 'shifted'), [all])
  const shifted = all.length - changes.length
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [saving, setSaving] = useState(false)
  const weeks = useMemo(() => {
    const byWeek = new Map<string, PlanChange[]>()
    for (const change of changes) {
      const monday = mondayOf(change.day)
      byWeek.set(monday, [...(byWeek.get(monday) ?? []), change])
    }
    return [...byWeek]
  }, [changes])
  const toggle = (keys: readonly string[], on: boolean) => {
    const next = new Set(left)
    // both days of a cleanout, or neither
    for (const key of keys.flatMap((k) => [k, ...(changes.find((c) => c.key === k)?.pair ? [changes.find((c) => c.key === k)!.pair!] : [])])) {
      if (on) next.delete(key)
      else next.add(key)
    }
    setLeft(next)
  }
  const chosen = changes.filter((c) => !left.has(c.key))
  const toTell = new Set(chosen.flatMap((c) => c.tell?.customer ?? [])).size
  const accept = async () => {
    setSaving(true)
    await onAccept(chosen.map((c) => c.key))
    setSaving(false)
  }
  return (
    <section className="sheet" aria-label="Changes">
      <div className="d-flex flex-wrap gap-3 align-items-baseline">
        <h2>Changes</h2>
        {toTell > 0 ? (
          <span className="soft">
            {toTell === 1 ? '1 customer knows' : `${toTell} customers know`} of another day: to be told under Letters once taken over.
          </span>
        ) : null}
        {shifted > 0 ? (
          <span className="soft">
            {shifted === 1 ? '1 visit begins' : `${shifted} visits begin`} a little earlier or later on the same day; nobody has to be told.
          </span>
        ) : null}
        <button type="button" className="btn btn-primary ms-auto" disabled={saving || chosen.length === 0} onClick={() => void accept()}>
          Take over {chosen.length === changes.length && chosen.length > 1 ? 'all' : chosen.length} {chosen.length === 1 ? 'visit' : 'visits'}
        </button>
      </div>
      {weeks.map(([monday, list]) => (
        <details key={monday} open={weeks.length <= 6 || monday === weeks[0][0]}>
          <summary>
            <strong>Week of {shortDate(monday)}</strong>{' '}
            <span className="soft">
              {list.length} {list.length === 1 ? 'visit' : 'visits'}, {duration(list.reduce((sum, c) => sum + c.minutes, 0))}
            </span>
          </summary>
          <div className="table-responsive" tabIndex={0} role="region" aria-label={`Changes in the week of ${shortDate(monday)}`}>
            <table className="table table-sm align-middle mb-2">
              <thead>
                <tr>
                  <th>
                    <input
                      type="checkbox"
                      className="form-check-input"
                      aria-label={`All of the week of ${shortDate(monday)}`}
                      checked={list.every((c) => !left.has(c.key))}
                      onChange={(e) =>
                        toggle(
                          list.map((c) => c.key),
                          e.target.checked,
                        )
                      }
                    />
                  </th>
                  <th>Day</th>
                  <th>Crew</th>
                  <th>Visit</th>
                  <th>Window</th>
                  <th>Change</th>
                </tr>
              </thead>
              <tbody>
                {list.map((c) => (
                  <tr key={c.key}>
                    <td>
                      <input
                        type="checkbox"
                        className="form-check-input"
                        aria-label={`${jobName(c.job)} at ${c.siteName}, ${shortDate(c.day)}`}
                        checked={!left.has(c.key)}
                        onChange={(e) => toggle([c.key], e.target.checked)}
                      />
                    </td>
                    <td className="text-nowrap">
                      {shortDate(c.day)} {c.startTime}
                    </td>
                    <td>{crewName(c.crewId)}</td>
                    <td>
                      {[c.job, ...c.also].map(jobName).join(' with ')}, {c.siteName} <span className="soft">{c.town}</span>
                      {c.tasks.length > 0 ? <div className="small">taking along: {c.tasks.map((t) => t.title).join('; ')}</div> : null}
                    </td>
                    <td className="text-nowrap soft">
                      {shortDate(c.window.earliest)} – {shortDate(c.window.latest)}
                    </td>
                    <td>
                      {c.kind === 'joined' ? (
                        <span className="verdict pass">stays, with more to do</span>
                      ) : c.was ? (
                        <>
                          <span className="verdict look">moved</span>{' '}
                          <span className="soft small">
                            from {crewName(c.was.crewId)}, {shortDate(c.was.day)} {c.was.startTime}
                            {c.why ? `; ${whyMovedWords(c.why)}` : ''}
                          </span>
                          {c.tell ? <div className="small">To be told: {tellWords(c.tell)}</div> : null}
                        </>
                      ) : (
                        <span className="verdict pass">{c.late ? 'new, late' : 'new'}</span>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </details>
      ))}
    </section>
  )
}
