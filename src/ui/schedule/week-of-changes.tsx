'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import type { PlanChange } from '@/domain/schedule/plan-run'
import { tellWords, whyMovedWords } from '@/messages/schedule/planning'
import { jobName, jobsTogether } from '@/messages/visits/visit-words'

interface WeekOfChangesProps {
  readonly monday: string
  readonly list: readonly PlanChange[]
  readonly crewName: (id: string) => string
  /** Changes that are not to be taken over. */
  readonly left: ReadonlySet<string>
  readonly onToggle: (keys: readonly string[], on: boolean) => void
}

/** What changes in a week, each to take over or to leave. */
export function WeekOfChanges({ monday, list, crewName, left, onToggle }: WeekOfChangesProps) {
  const t = useTexts()
  return (
    <div
      className="table-responsive"
      tabIndex={0}
      role="region"
      aria-label={t('schedule.planChanges.changesWeek', { monday: t.shortDate(monday) })}
    >
      <table className="table table-sm align-middle mb-2">
        <thead>
          <tr>
            <th>
              <input
                type="checkbox"
                className="form-check-input"
                aria-label={t('schedule.planChanges.allWeek', { monday: t.shortDate(monday) })}
                checked={list.every((c) => !left.has(c.key))}
                onChange={(e) =>
                  onToggle(
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
          {list.map((c) => (
            <tr key={c.key}>
              <td>
                <input
                  type="checkbox"
                  className="form-check-input"
                  aria-label={t('schedule.planChanges.at', {
                    job: jobName(c.job, t),
                    siteName: siteWords(c, t),
                    day: t.shortDate(c.day),
                  })}
                  checked={!left.has(c.key)}
                  onChange={(e) => onToggle([c.key], e.target.checked)}
                />
              </td>
              <td className="text-nowrap">
                {t.shortDate(c.day)} {c.startTime}
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
                {t.shortDate(c.window.earliest)} – {t.shortDate(c.window.latest)}
              </td>
              <td>
                <ChangeCell change={c} crewName={crewName} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

function ChangeCell({ change, crewName }: { change: PlanChange; crewName: WeekOfChangesProps['crewName'] }) {
  const t = useTexts()
  if (change.kind === 'joined') return <span className="verdict pass">{t('schedule.planChanges.staysMoreDo')}</span>
  if (change.was)
    return (
      <>
        <span className="verdict look">{t('schedule.planChanges.moved')}</span>{' '}
        <span className="soft small">
          {t('schedule.planChanges.from', {
            crewId: crewName(change.was.crewId),
            day: t.shortDate(change.was.day),
            startTime: change.was.startTime,
            why: change.why ? `; ${whyMovedWords(change.why, t)}` : '',
          })}
        </span>
        {change.tell ? (
          <div className="small">{t('schedule.planChanges.told', { tell: tellWords(change.tell, t) })}</div>
        ) : null}
      </>
    )
  return (
    <span className="verdict pass">
      {change.late ? t('schedule.planChanges.newLate') : t('schedule.planChanges.new')}
    </span>
  )
}

/** Whose visit it is; of a customer who is not there yet, whom they are like. */
const siteWords = ({ siteName, newCustomer }: PlanChange, t: Texts): string =>
  newCustomer ? t('schedule.planChanges.newCustomerLike', { siteName }) : siteName
