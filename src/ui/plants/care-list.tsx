'use client'
import { useTexts } from '@/ui/kit/texts'
import type { CareTask } from '@/core/plants/care-rules'
import { addDays } from '@/core/numeric/calendar'
import { CARE_AHEAD_DAYS } from '@/domain/plants/plants'
import { ProblemNote } from '@/ui/kit/problem-note'
import { useSave } from '@/ui/use-save'
import { speciesName } from '@/messages/plants/species-name'

interface CareListProps {
  readonly tasks: readonly CareTask[]
  readonly patches: readonly { readonly id: string; readonly species: string }[]
  readonly today: string
  readonly mayLog: boolean
  readonly onPick?: (id: string) => void
}

/** What groups of plants ask for: now, in a few days, and later this year. */
export function CareList({ tasks, patches, today, mayLog, onPick }: CareListProps) {
  const t = useTexts()

  const { problem, save } = useSave()
  const near = addDays(today, CARE_AHEAD_DAYS)
  const name = (task: CareTask) => speciesName(patches.find((p) => p.id === task.patchId)!.species, t)
  const [now, later] = [tasks.filter((task) => task.due <= near), tasks.filter((task) => task.due > near)]
  const done = (task: CareTask) =>
    save('POST', `/api/v1/plants/${task.patchId}/log`, { line: { action: task.action }, on: today })
  if (tasks.length === 0) return <p className="soft mb-0">{t('plants.careList.nothingMoreYear')}</p>
  return (
    <>
      {now.length === 0 ? <p className="soft">{t('plants.careList.nothingComingDays')}</p> : null}
      <ul className="plain-list">
        {now.map((task) => (
          <li key={`${task.patchId}${task.action}`} className="d-flex gap-2 align-items-start">
            <span className="flex-grow-1">
              <strong>{t(`plants.plantActionNames.${task.action}`)}</strong>:{' '}
              {onPick ? <PickLink task={task} name={name(task)} onPick={onPick} /> : name(task)}
              <span className="soft small d-block">
                {t(task.due < today ? 'plants.careList.since' : 'plants.careList.from', { day: t.shortDate(task.due) })}
                {task.latest < today ? (
                  <span className="verdict look ms-1">{t('plants.careList.late')}</span>
                ) : (
                  t('plants.careList.until', { latest: t.shortDate(task.latest) })
                )}
                ; {t(`plants.careWhy.${task.why}`)}
              </span>
            </span>
            {mayLog ? (
              <button
                className="btn btn-sm btn-outline-primary text-nowrap no-print"
                aria-label={t('plants.careList.doneToday', {
                  action: t(`plants.plantActionNames.${task.action}`),
                  task: name(task),
                })}
                onClick={() => void done(task)}
              >
                {t('plants.careList.doneToday2')}
              </button>
            ) : null}
          </li>
        ))}
      </ul>
      <ProblemNote problem={problem} />
      {later.length > 0 ? (
        <details>
          <summary className="soft">{t('plants.careList.laterYear', { count: later.length })}</summary>
          <ul className="plain-list">
            {later.map((task) => (
              <li key={`${task.patchId}${task.action}`}>
                {t.shortDate(task.due)}: {t(`plants.plantActionNames.${task.action}`).toLowerCase()}, {name(task)}
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </>
  )
}

function PickLink({ task, name, onPick }: { task: CareTask; name: string; onPick: (id: string) => void }) {
  return (
    <button className="btn btn-link p-0 align-baseline" onClick={() => onPick(task.patchId)}>
      {name}
    </button>
  )
}
