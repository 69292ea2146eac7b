'use client'
import { useTexts } from '@/ui/kit/texts'
import { useMemo, useState } from 'react'
import { duration } from '@/domain/shared/dates'
import type { PlanChange } from '@/domain/schedule/plan-run'
import { mondayOf } from '@/core/numeric/calendar'
import { WeekOfChanges } from './week-of-changes'

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
            count: chosen.length,
            all: chosen.length === changes.length && chosen.length > 1 ? 'yes' : 'no',
          })}
        </button>
      </div>
      {weeks.map(([monday, list]) => (
        <details key={monday} open={weeks.length <= 6 || monday === weeks[0]![0]}>
          <summary>
            <strong>{t('schedule.planChanges.week', { monday: t.shortDate(monday) })}</strong>{' '}
            <span className="soft">
              {t('schedule.planChanges.visits', { count: list.length })},{' '}
              {duration(list.reduce((sum, c) => sum + c.minutes, 0))}
            </span>
          </summary>
          <WeekOfChanges monday={monday} list={list} crewName={crewName} left={left} onToggle={toggle} />
        </details>
      ))}
    </section>
  )
}
