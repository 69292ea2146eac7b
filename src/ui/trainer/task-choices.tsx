'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { underIce } from '@/core/trainer/play'
import {
  changesNothing,
  isCautioned,
  taskOptionKey,
  TRAINER_TASK_KEYS,
  trainerTask,
  TASK_GROUPS,
  type TrainerTaskKey,
  type TaskGroup,
} from '@/core/trainer/tasks'
import type { WeekView } from '@/core/trainer/view'
import { money } from '@/domain/prices/pricing'
import type { Season } from './use-season'
import { taskChoiceWords } from '@/messages/trainer/task-words'

interface TaskProps {
  readonly season: Season
  readonly view: WeekView
  readonly currency: string
}

/** What can be done this week, by where it is done, and what is chosen. */
export function TaskChoices({ season, view, currency }: TaskProps) {
  const t = useTexts()

  const [group, setGroup] = useState<TaskGroup>('water')
  const chosen = season.visit.tasks
  const inGroup = (of: TaskGroup) => chosen.filter((choice) => trainerTask(choice.task).group === of).length
  return (
    <section className="sheet" aria-label={t('trainer.taskChoices.tasks')}>
      <h2>{t('trainer.taskChoices.do')}</h2>
      <p className="soft small mb-2">{nowSet(view, t)}</p>
      <div role="tablist" aria-label={t('trainer.taskChoices.where')} className="task-tabs">
        {TASK_GROUPS.map((of) => (
          <button
            key={of}
            id={`tasks-of-${of}`}
            role="tab"
            aria-selected={of === group}
            aria-controls="tasks-here"
            className={`btn btn-sm btn-outline-secondary ${of === group ? 'active' : ''}`}
            onClick={() => setGroup(of)}
          >
            {t(`trainer.groupNames.${of}`)}
            {inGroup(of) > 0 ? <span className="count">{inGroup(of)}</span> : null}
          </button>
        ))}
      </div>
      <div role="tabpanel" id="tasks-here" aria-labelledby={`tasks-of-${group}`}>
        {TRAINER_TASK_KEYS.filter((key) => trainerTask(key).group === group).map((key) => (
          <TaskLine key={key} task={key} season={season} view={view} currency={currency} />
        ))}
      </div>
      {chosen.length > 0 ? (
        <ul className="chosen-tasks" aria-label={t('trainer.taskChoices.chosenVisit')}>
          {chosen.map((choice) => (
            <li key={choice.task}>
              {taskChoiceWords(choice, t)}{' '}
              <button
                className="btn btn-sm btn-link p-0"
                onClick={() => season.choose(choice.task, null)}
                aria-label={t('trainer.taskChoices.leaveOut', { name: t(`trainer.tasks.${choice.task}`) })}
              >
                {t('trainer.taskChoices.leaveOut2')}
              </button>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  )
}

function TaskLine({ task, season, view, currency }: TaskProps & { readonly task: TrainerTaskKey }) {
  const t = useTexts()

  const { options } = trainerTask(task)
  const name = t(`trainer.tasks.${task}`)
  const chosen = season.visit.tasks.find((choice) => choice.task === task)?.option ?? null
  const iced = underIce(task, view)
  const open = Object.entries(options).filter(([, option]) => !changesNothing(option, view.fittings))
  const optionName = (option: string) => {
    const key = taskOptionKey({ task, option })
    return key ? t(`trainer.taskOptions.${key}`) : option
  }
  return (
    <div className="task-line" role="group" aria-label={name}>
      <span className="name">{name}</span>
      <div className="task-options">
        {iced ? (
          <span className="soft">{t('trainer.taskChoices.notThroughIce')}</span>
        ) : (
          open.map(([key, option]) => (
            <button
              key={key}
              className={`btn btn-sm btn-outline-secondary ${chosen === key ? 'active' : ''}`}
              aria-pressed={chosen === key}
              onClick={() => season.choose(task, chosen === key ? null : key)}
            >
              {optionName(key)}{' '}
              <span className="soft text-nowrap">
                {t('trainer.taskChoices.min', {
                  minutes: option.minutes,
                  cost: option.cost > 0 ? `, ${money(option.cost * 100, currency)}` : '',
                })}
              </span>
            </button>
          ))
        )}
      </div>
      {chosen !== null && isCautioned(task) ? (
        <p className="caution small mb-0">{t(`trainer.taskCautions.${task}`)}</p>
      ) : null}
    </div>
  )
}

function nowSet({ fittings }: WeekView, t: Texts): string {
  const { feedFactor, lightFeed, pump, uv, aerator, net, iceHole } = fittings
  const ration = () => {
    if (feedFactor === 0) return t('trainer.taskChoices.noFeed')
    if (feedFactor < 0.75) return t('trainer.taskChoices.halfRation')
    if (feedFactor <= 1.1) return t('trainer.taskChoices.fullRation')
    return t('trainer.taskChoices.farMoreThanRation')
  }
  const feed = ration()
  const parts = [
    t('trainer.taskChoices.now', { feed, lightFeed: lightFeed ? t('trainer.taskChoices.littleProteinWhileCool') : '' }),
    pump ? t('trainer.taskChoices.pumpRunning') : t('trainer.taskChoices.pumpStanding'),
    ...(uv ? [t('trainer.taskChoices.uv')] : []),
    ...(aerator ? [t('trainer.taskChoices.aeratorRunning')] : []),
    ...(net ? [t('trainer.taskChoices.netOverPond')] : []),
    ...(iceHole ? [t('trainer.taskChoices.deIcerIn')] : []),
  ]
  return `${parts.join(' · ')}.`
}
