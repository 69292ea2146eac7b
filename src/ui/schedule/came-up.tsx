'use client'
import { textId, useTexts } from '@/ui/kit/texts'
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
  { value: 'rain', label: textId('schedule.cameUp.rainStormNobodyWorks') },
  { value: 'sick', label: textId('schedule.cameUp.crewAway') },
  { value: 'truck', label: textId('schedule.cameUp.truckStandsBrokenNo') },
  { value: 'emergency', label: textId('schedule.cameUp.emergencyPond') },
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
  const t = useTexts()

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
    if (kind === 'rain') onAsk({ ...EMPTY_WISH, ...base, lostDays: days, reason: t('schedule.cameUp.rainStorm') })
    if (kind === 'sick')
      onAsk({
        ...EMPTY_WISH,
        ...base,
        absent: [{ crewId, from, to: to < from ? from : to }],
        reason: t('schedule.cameUp.away', { crewName }),
      })
    if (kind === 'truck')
      onAsk({
        ...EMPTY_WISH,
        from,
        to: to < from ? from : to,
        fromTime: clock,
        withoutKit: [crewId],
        reason: t('schedule.cameUp.truckBroken', { crewName }),
      })
    if (kind !== 'emergency') return
    const outcome = await send('POST', `/api/v1/ponds/${pondId}/one-offs`, {
      title,
      from: today,
      to: addDays(today, EMERGENCY_DAYS),
      minutes,
      urgent: true,
    })
    if (!outcome.ok) return setProblem(outcome.problem)
    onAsk({
      ...EMPTY_WISH,
      from: today,
      to: addDays(today, EMERGENCY_DAYS + 2),
      fromTime: clock,
      reason: t('schedule.cameUp.emergency', { title }),
    })
  }
  return (
    <details className="sheet">
      <summary>
        <strong>{t('schedule.cameUp.somethingCameUp')}</strong>{' '}
        <span className="soft">{t('schedule.cameUp.rainSickCrewBroken')}</span>
      </summary>
      <form
        className="mt-2"
        onSubmit={(e) => {
          e.preventDefault()
          void ask()
        }}
      >
        <div className="field-grid">
          <ChoiceField
            label={t('schedule.cameUp.what')}
            value={kind}
            onChange={(e) => setKind(e.target.value as Kind)}
            options={KINDS.map((k) => ({ ...k, label: t(k.label) }))}
          />
          {kind === 'sick' || kind === 'truck' ? (
            <ChoiceField
              label={t('schedule.cameUp.whichCrew')}
              value={crewId}
              onChange={(e) => setCrewId(e.target.value)}
              options={crews.map((c) => ({ value: c.id, label: c.name }))}
            />
          ) : null}
          {kind === 'emergency' ? (
            <>
              <ChoiceField
                label={t('schedule.cameUp.where')}
                value={pondId}
                onChange={(e) => setPondId(e.target.value)}
                options={ponds.map((p) => ({ value: p.id, label: p.name }))}
              />
              <TextField
                label={t('schedule.cameUp.whatDoneThere')}
                value={title}
                onChange={(e) => setTitle(e.target.value)}
                error={errorOf('title')}
              />
              <QuantityField
                label={t('schedule.cameUp.minutesHandwork')}
                kind="number"
                value={minutes}
                onChange={setMinutes}
                error={errorOf('minutes')}
              />
            </>
          ) : (
            <>
              <TextField
                label={t('schedule.cameUp.firstDay')}
                type="date"
                min={today}
                value={from}
                onChange={(e) => setFrom(e.target.value)}
              />
              <TextField
                label={t('schedule.cameUp.lastDay')}
                type="date"
                min={from}
                value={to}
                onChange={(e) => setTo(e.target.value)}
              />
            </>
          )}
          {kind === 'emergency' || from === today ? (
            <TextField
              label={t('schedule.cameUp.crewsFreeFromEmpty')}
              type="time"
              value={fromTime}
              onChange={(e) => setFromTime(e.target.value)}
            />
          ) : null}
        </div>
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1" disabled={busy || crews.length === 0}>
          {t('schedule.cameUp.rePlan')}
        </button>
        {kind === 'emergency' ? (
          <span className="soft small ms-2">{t('schedule.cameUp.shortCircuitEscapingGas')}</span>
        ) : null}
      </form>
    </details>
  )
}
