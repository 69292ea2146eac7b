'use client'
import { useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import type { PlanWish } from '@/domain/schedule/plan-run'
import type { Crew } from '@/domain/people/people'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send, type SendProblem } from '@/ui/send'
import { EMPTY_WISH } from './empty-wish'

const KINDS = [
  { value: 'rain', label: 'Rain or storm: nobody works' },
  { value: 'sick', label: 'A crew is away' },
  { value: 'truck', label: 'A truck stands broken: no kit' },
  { value: 'emergency', label: 'An emergency at a pond' },
] as const
type Kind = (typeof KINDS)[number]['value']

/** What was displaced is fitted into so many days after. */
const ROOM_DAYS = 14
const EMERGENCY_DAYS = 2

interface CameUpProps {
  readonly today: string
  readonly crews: readonly Crew[]
  readonly ponds: readonly { readonly id: string; readonly name: string }[]
  readonly busy: boolean
  readonly onAsk: (wish: PlanWish) => void
}

/** Something came up: says what, for which days, and asks for the plan that changes least. */
export function CameUp({ today, crews, ponds, busy, onAsk }: CameUpProps) {
  const [kind, setKind] = useState<Kind>('rain')
  const [from, setFrom] = useState(addDays(today, 1))
  const [to, setTo] = useState(addDays(today, 1))
  const [crewId, setCrewId] = useState<string>(crews[0]?.id ?? '')
  const [pondId, setPondId] = useState(ponds[0]?.id ?? '')
  const [title, setTitle] = useState('')
  const [minutes, setMinutes] = useState<number | null>(90)
  const [fromTime, setFromTime] = useState('')
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const errorOf = (path: string) => problem?.fields?.find((f) => f.path === path)?.message
  const crewName = crews.find((c) => c.id === crewId)?.name ?? ''
  const ask = async () => {
    setProblem(null)
    const clock = fromTime === '' ? null : fromTime
    const base = { from, to: addDays(to < from ? from : to, ROOM_DAYS), fromTime: clock }
    const days = Array.from({ length: 60 }, (_, i) => addDays(from, i)).filter((day) => day <= to)
    if (kind === 'rain') onAsk({ ...EMPTY_WISH, ...base, lostDays: days, reason: 'Rain or storm' })
    if (kind === 'sick') onAsk({ ...EMPTY_WISH, ...base, absent: [{ crewId, from, to: to < from ? from : to }], reason: `${crewName} away` })
    if (kind === 'truck')
      onAsk({ ...EMPTY_WISH, from, to: to < from ? from : to, fromTime: clock, withoutKit: [crewId], reason: `Truck of ${crewName} broken` })
    if (kind !== 'emergency') return
    const outcome = await send('POST', `/api/v1/ponds/${pondId}/one-offs`, {
      title,
      from: today,
      to: addDays(today, EMERGENCY_DAYS),
      minutes,
      urgent: true,
    })
    if (!outcome.ok) return setProblem(outcome.problem)
    onAsk({ ...EMPTY_WISH, from: today, to: addDays(today, EMERGENCY_DAYS + 2), fromTime: clock, reason: `Emergency: ${title}` })
  }
  return (
    <details className="sheet">
      <summary>
        <strong>Something came up</strong> <span className="soft">Rain, a sick crew, a broken truck, an emergency: the plan that changes least.</span>
      </summary>
      <form
        className="mt-2"
        onSubmit={(e) => {
          e.preventDefault()
          void ask()
        }}
      >
        <div className="field-grid">
          <ChoiceField label="What" value={kind} onChange={(e) => setKind(e.target.value as Kind)} options={KINDS.map((k) => ({ ...k }))} />
          {kind === 'sick' || kind === 'truck' ? (
            <ChoiceField
              label="Which crew"
              value={crewId}
              onChange={(e) => setCrewId(e.target.value)}
              options={crews.map((c) => ({ value: c.id, label: c.name }))}
            />
          ) : null}
          {kind === 'emergency' ? (
            <>
              <ChoiceField
                label="Where"
                value={pondId}
                onChange={(e) => setPondId(e.target.value)}
                options={ponds.map((p) => ({ value: p.id, label: p.name }))}
              />
              <TextField label="What is to be done there" value={title} onChange={(e) => setTitle(e.target.value)} error={errorOf('title')} />
              <QuantityField label="Minutes of handwork" kind="number" value={minutes} onChange={setMinutes} error={errorOf('minutes')} />
            </>
          ) : (
            <>
              <TextField label="First day" type="date" min={today} value={from} onChange={(e) => setFrom(e.target.value)} />
              <TextField label="Last day" type="date" min={from} value={to} onChange={(e) => setTo(e.target.value)} />
            </>
          )}
          {kind === 'emergency' || from === today ? (
            <TextField label="Crews are free from (empty: now)" type="time" value={fromTime} onChange={(e) => setFromTime(e.target.value)} />
          ) : null}
        </div>
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1" disabled={busy || crews.length === 0}>
          Re-plan
        </button>
        {kind === 'emergency' ? (
          <span className="soft small ms-2">A short circuit, escaping gas or a person in danger is for the emergency services first.</span>
        ) : null}
      </form>
    </details>
  )
}
