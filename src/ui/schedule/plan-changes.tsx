'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { duration, shortDate } from '@/domain/shared/dates'
import type { PlanChange } from '@/domain/schedule/plan-run'
import { tellWords, whyMovedWords } from '@/messages/schedule/planning'
import { mondayOf } from '@/core/numeric/calendar'
import { jobName, jobsTogether } from '@/messages/visits/visit-words'

interface PlanChangesProps {
  readonly changes: readonly PlanChange[]
  readonly crewName: (id: string) => string
  readonly onAccept: (keys: readonly string[]) => Promise<void>
}

/** The plan as a list of changes by week, to take over whole or in part. */
export function PlanChanges({ changes: all, crewName, onAccept }: PlanChangesProps) {
  const t = useTexts()

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
    for (const key of keys.flatMap((k) => [
      k,
      ...(changes.find((c) => c.key === k)?.pair ? [changes.find((c) => c.key === k)!.pair!] : []),
    ])) {
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
    <section className="sheet" aria-label={t('schedule.planChanges.changes')}>
      <div className="d-flex flex-wrap gap-3 align-items-baseline">
        <h2>{t('schedule.planChanges.changes')}</h2>
        {toTell > 0 ? (
          <span className="soft">
            {t('schedule.planChanges.anotherDayToldUnder', {
              toTell: t('schedule.planChanges.customersKnow', { toTell }),
            })}
          </span>
        ) : null}
        {shifted > 0 ? (
          <span className="soft">
            {t('schedule.planChanges.littleEarlierLaterSame', {
              shifted: t('schedule.planChanges.visitsBegin', { shifted }),
            })}
          </span>
        ) : null}
        <button
          type="button"
          className="btn btn-primary ms-auto"
          disabled={saving || chosen.length === 0}
          onClick={() => void accept()}
        >
          {t('schedule.planChanges.takeOver', {
            count: chosen.length === changes.length && chosen.length > 1 ? 'all' : chosen.length,
          })}
        </button>
      </div>
      {weeks.map(([monday, list]) => (
        <details key={monday} open={weeks.length <= 6 || monday === weeks[0]![0]}>
          <summary>
            <strong>{t('schedule.planChanges.week', { monday: shortDate(monday) })}</strong>{' '}
            <span className="soft">
              {t('schedule.planChanges.visits', { count: list.length })},{' '}
              {duration(list.reduce((sum, c) => sum + c.minutes, 0))}
            </span>
          </summary>
          <div
            className="table-responsive"
            tabIndex={0}
            role="region"
            aria-label={t('schedule.planChanges.changesWeek', { monday: shortDate(monday) })}
          >
            <table className="table table-sm align-middle mb-2">
              <thead>
                <tr>
                  <th>
                    <input
                      type="checkbox"
                      className="form-check-input"
                      aria-label={t('schedule.planChanges.allWeek', { monday: shortDate(monday) })}
                      checked={list.every((c) => !left.has(c.key))}
                      onChange={(e) =>
                        toggle(
                          list.map((c) => c.key),
                          e.target.checked,
                        )
                      }
                    />
                  </th>
                  <th>{t('schedule.planChanges.day')}</th>
                  <th>{t('schedule.planChanges.crew')}</th>
                  <th>{t('schedule.planChanges.visit')}</th>
                  <th>{t('schedule.planChanges.window')}</th>
                  <th>{t('schedule.planChanges.change')}</th>
                </tr>
              </thead>
              <tbody>
                {list.map((c) => {
                  const changeCell = () => {
                    if (c.kind === 'joined')
                      return <span className="verdict pass">{t('schedule.planChanges.staysMoreDo')}</span>
                    if (c.was)
                      return (
                        <>
                          <span className="verdict look">{t('schedule.planChanges.moved')}</span>{' '}
                          <span className="soft small">
                            {t('schedule.planChanges.from', {
                              crewId: crewName(c.was.crewId),
                              day: shortDate(c.was.day),
                              startTime: c.was.startTime,
                              why: c.why ? `; ${whyMovedWords(c.why, t)}` : '',
                            })}
                          </span>
                          {c.tell ? (
                            <div className="small">
                              {t('schedule.planChanges.told', { tell: tellWords(c.tell, t) })}
                            </div>
                          ) : null}
                        </>
                      )
                    return (
                      <span className="verdict pass">
                        {c.late ? t('schedule.planChanges.newLate') : t('schedule.planChanges.new')}
                      </span>
                    )
                  }

                  return (
                    <tr key={c.key}>
                      <td>
                        <input
                          type="checkbox"
                          className="form-check-input"
                          aria-label={t('schedule.planChanges.at', {
                            job: jobName(c.job, t),
                            siteName: siteWords(c, t),
                            day: shortDate(c.day),
                          })}
                          checked={!left.has(c.key)}
                          onChange={(e) => toggle([c.key], e.target.checked)}
                        />
                      </td>
                      <td className="text-nowrap">
                        {shortDate(c.day)} {c.startTime}
                      </td>
                      <td>{crewName(c.crewId)}</td>
                      <td>
                        {jobsTogether([c.job, ...c.also], t)}, {siteWords(c, t)} <span className="soft">{c.town}</span>
                        {c.tasks.length > 0 ? (
                          <div className="small">
                            {t('schedule.planChanges.takingAlong', {
                              map: c.tasks.map((task) => task.title).join('; '),
                            })}
                          </div>
                        ) : null}
                      </td>
                      <td className="text-nowrap soft">
                        {shortDate(c.window.earliest)} – {shortDate(c.window.latest)}
                      </td>
                      <td>{changeCell()}</td>
                    </tr>
                  )
                })}
              </tbody>
            </table>
          </div>
        </details>
      ))}
    </section>
  )
}

/** Whose visit it is; of a customer who is not there yet, whom they are like. */
const siteWords = ({ siteName, newCustomer }: PlanChange, t: Texts): string =>
  newCustomer ? t('schedule.planChanges.newCustomerLike', { siteName }) : siteName
