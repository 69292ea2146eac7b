'use client'
import { useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/shared/dates'
import type { FollowUp } from '@/domain/water/reading'
import { may } from '@/domain/people/roles'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { usePerson } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'

const FIRST_SPAN_DAYS = 21

/** What is still to be done at a pond beside its agreed visits: follow-up tests and wishes, with a way to add and to strike off. */
export function FollowUpsSheet({ pondId, followUps, today }: { pondId: string; followUps: readonly FollowUp[]; today: string }) {
  const { role } = usePerson()
  const { problem, save } = useSave()
  return (
    <>
      <ul className="plain-list">
        {followUps.map((f) => (
          <li key={f.id} className="d-flex flex-wrap gap-2 align-items-baseline">
            <span className={`verdict ${f.dueTo < today ? 'stop' : 'look'}`}>{f.dueTo < today ? 'Late' : 'Due'}</span> {f.title}
            <span className="soft">
              {shortDate(f.dueFrom)} – {shortDate(f.dueTo)}
            </span>
            {may(role, 'visits.plan') ? (
              <button
                className="btn btn-sm btn-outline-secondary no-print ms-auto"
                onClick={() => void save('POST', `/api/v1/follow-ups/${f.id}/close`)}
                aria-label={`Strike off: ${f.title}`}
              >
                Strike off
              </button>
            ) : null}
          </li>
        ))}
      </ul>
      <ProblemNote problem={problem} />
      {may(role, 'visits.plan') ? (
        <details className="no-print mb-2">
          <summary className="btn btn-sm btn-outline-primary">Add something to do</summary>
          <OneOffForm pondId={pondId} today={today} />
        </details>
      ) : null}
    </>
  )
}

function OneOffForm({ pondId, today }: { pondId: string; today: string }) {
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
        <TextField label="What is to be done" value={task.title} onChange={(e) => setTask({ ...task, title: e.target.value })} error={errorOf('title')} />
        <TextField label="Not before" type="date" value={task.from} onChange={(e) => setTask({ ...task, from: e.target.value })} error={errorOf('from')} />
        <TextField label="Not after" type="date" value={task.to} onChange={(e) => setTask({ ...task, to: e.target.value })} error={errorOf('to')} />
        <QuantityField
          label="Minutes for one person"
          kind="number"
          value={task.minutes}
          onChange={(minutes) => setTask({ ...task, minutes })}
          error={errorOf('minutes')}
        />
      </div>
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">Add it</button>
    </form>
  )
}
