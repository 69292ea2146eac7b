'use client'
import { useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import type { FollowUp } from '@/domain/water/reading'
import { may } from '@/domain/people/roles'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { send } from '@/ui/send'
import { useDone } from '@/ui/use-done'
import { useSave } from '@/ui/use-save'

const FIRST_SPAN_DAYS = 21

/**
 * What is still to be done at a pond beside its agreed visits: follow-up tests and wishes, with a way to add and to
 * strike off.
 */
export function FollowUpsSheet({
  pondId,
  followUps,
  today,
}: {
  pondId: string
  followUps: readonly FollowUp[]
  today: string
}) {
  const t = useTexts()

  const { role } = usePerson()
  const { problem, save } = useSave()
  const done = useDone()
  const remove = async ({ id, title }: FollowUp) => {
    if (await save('POST', `/api/v1/follow-ups/${id}/close`))
      done(t('visits.followUpsSheet.removed', { title }), () => send('POST', `/api/v1/follow-ups/${id}/reopen`))
  }
  return (
    <>
      <ul className="plain-list">
        {followUps.map((f) => (
          <li key={f.id} className="d-flex flex-wrap gap-2 align-items-baseline">
            <span className={`verdict ${f.dueTo < today ? 'stop' : 'look'}`}>
              {f.dueTo < today ? t('visits.followUpsSheet.late') : t('visits.followUpsSheet.due')}
            </span>{' '}
            {f.title}
            <span className="soft">
              {t.shortDate(f.dueFrom)} – {t.shortDate(f.dueTo)}
            </span>
            {may(role, 'visits.plan') ? (
              <button
                className="btn btn-sm btn-outline-secondary no-print ms-auto"
                onClick={() => void remove(f)}
                aria-label={t('visits.followUpsSheet.strikeOff', { title: f.title })}
              >
                {t('visits.followUpsSheet.strikeOff2')}
              </button>
            ) : null}
          </li>
        ))}
      </ul>
      <ProblemNote problem={problem} />
      {may(role, 'visits.plan') ? (
        <details className="no-print mb-2">
          <summary className="btn btn-sm btn-outline-primary">{t('visits.followUpsSheet.addSomethingDo')}</summary>
          <OneOffForm pondId={pondId} today={today} />
        </details>
      ) : null}
    </>
  )
}

function OneOffForm({ pondId, today }: { pondId: string; today: string }) {
  const t = useTexts()

  const { problem, errorOf, save } = useSave()
  const empty = { title: '', from: today, to: addDays(today, FIRST_SPAN_DAYS), minutes: 15 as number | null }
  const [task, setTask] = useState(empty)
  const add = async () => {
    if (await save('POST', `/api/v1/ponds/${pondId}/one-offs`, task)) setTask(empty)
  }
  return (
    <form
      className="mt-2"
      onSubmit={(e) => {
        e.preventDefault()
        void add()
      }}
    >
      <div className="field-grid">
        <TextField
          label={t('visits.followUpsSheet.whatDone')}
          value={task.title}
          onChange={(e) => setTask({ ...task, title: e.target.value })}
          error={errorOf('title')}
        />
        <TextField
          label={t('visits.followUpsSheet.notBefore')}
          type="date"
          value={task.from}
          onChange={(e) => setTask({ ...task, from: e.target.value })}
          error={errorOf('from')}
        />
        <TextField
          label={t('visits.followUpsSheet.notAfter')}
          type="date"
          value={task.to}
          onChange={(e) => setTask({ ...task, to: e.target.value })}
          error={errorOf('to')}
        />
        <QuantityField
          label={t('visits.followUpsSheet.minutesOnePerson')}
          kind="number"
          value={task.minutes}
          onChange={(minutes) => setTask({ ...task, minutes })}
          error={errorOf('minutes')}
        />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">{t('visits.followUpsSheet.add')}</button>
    </form>
  )
}
