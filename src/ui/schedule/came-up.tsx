'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { z } from 'zod'
import { addDays, daysBetween } from '@/core/numeric/calendar'
import type { PlanWish } from '@/domain/schedule/plan-run'
import type { Crew } from '@/domain/people/people'
import { ChoiceField } from '@/ui/kit/choice-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { send } from '@/ui/send'
import { useSchemaForm } from '@/ui/use-schema-form'
import { OneOffInput } from '@/domain/equipment/equipment'
import { calendarDay } from '@/domain/shared/fields'
import { said } from '@/domain/shared/said'
import { EMPTY_WISH } from './empty-wish'

const KINDS = [
  { value: 'rain', label: textId('schedule.cameUp.rainStormNobodyWorks') },
  { value: 'sick', label: textId('schedule.cameUp.crewAway') },
  { value: 'truck', label: textId('schedule.cameUp.truckStandsBrokenNo') },
  { value: 'emergency', label: textId('schedule.cameUp.emergencyPond') },
] as const
type Kind = (typeof KINDS)[number]['value']

/** An emergency is a job of its own; the others are about days. */
const CameUpBody = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('emergency'), oneOff: OneOffInput }),
  z
    .strictObject({ kind: z.enum(['rain', 'sick', 'truck']), from: calendarDay, to: calendarDay })
    .refine(({ from, to }) => from <= to, { path: ['to'], error: said('kit.problems.endsBeforeBegins') }),
])

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

  const {
    values: { kind, from, crewId },
    field,
    control,
    submit,
    problem,
    sending,
  } = useSchemaForm({
    schema: CameUpBody,
    values: {
      kind: 'rain' as Kind,
      from: addDays(today, 1),
      to: addDays(today, 1),
      crewId: (crews[0]?.id ?? '') as string,
      pondId: ponds[0]?.id ?? '',
      oneOff: { title: '', minutes: 90 as number | null },
      fromTime: '',
    },
    bodyOf: ({ kind, from, to, oneOff }) =>
      kind === 'emergency'
        ? { kind, oneOff: { ...oneOff, from: today, to: addDays(today, EMERGENCY_DAYS), urgent: true } }
        : { kind, from, to },
  })
  const crewName = crews.find((c) => c.id === crewId)?.name ?? ''
  const ask = (wish: { from: string; to: string; fromTime: string; oneOff: { title: string } }) => {
    const { from, to, oneOff } = wish
    const fromTime = wish.fromTime === '' ? null : wish.fromTime
    const roomTo = addDays(to, ROOM_DAYS)
    switch (kind) {
      case 'rain': {
        const lostDays = Array.from({ length: daysBetween(from, to) + 1 }, (_, i) => addDays(from, i))
        return onAsk({ ...EMPTY_WISH, from, to: roomTo, fromTime, lostDays, reason: t('schedule.cameUp.rainStorm') })
      }
      case 'sick':
        return onAsk({
          ...EMPTY_WISH,
          from,
          to: roomTo,
          fromTime,
          absent: [{ crewId, from, to }],
          reason: t('schedule.cameUp.away', { crewName }),
        })
      case 'truck':
        return onAsk({
          ...EMPTY_WISH,
          from,
          to,
          fromTime,
          withoutKit: [crewId],
          reason: t('schedule.cameUp.truckBroken', { crewName }),
        })
      case 'emergency':
        return onAsk({
          ...EMPTY_WISH,
          from: today,
          to: addDays(today, EMERGENCY_DAYS + 2),
          fromTime,
          reason: t('schedule.cameUp.emergency', { title: oneOff.title }),
        })
    }
  }
  return (
    <details className="sheet">
      <summary>
        <strong>{t('schedule.cameUp.somethingCameUp')}</strong>{' '}
        <span className="soft">{t('schedule.cameUp.rainSickCrewBroken')}</span>
      </summary>
      <form
        className="mt-2"
        noValidate
        onSubmit={submit(
          (_, wish) =>
            wish.kind === 'emergency'
              ? send('POST', `/api/v1/ponds/${wish.pondId}/one-offs`, {
                  ...wish.oneOff,
                  from: today,
                  to: addDays(today, EMERGENCY_DAYS),
                  urgent: true,
                })
              : Promise.resolve({ ok: true as const, value: null }),
          (_, wish) => ask(wish),
        )}
      >
        <div className="field-grid">
          <ChoiceField
            label={t('schedule.cameUp.what')}
            options={KINDS.map((k) => ({ ...k, label: t(k.label) }))}
            {...field('kind')}
          />
          {kind === 'sick' || kind === 'truck' ? (
            <ChoiceField
              label={t('schedule.cameUp.whichCrew')}
              options={crews.map((c) => ({ value: c.id, label: c.name }))}
              {...field('crewId')}
            />
          ) : null}
          {kind === 'emergency' ? (
            <>
              <ChoiceField
                label={t('schedule.cameUp.where')}
                options={ponds.map((p) => ({ value: p.id, label: p.name }))}
                {...field('pondId')}
              />
              <TextField label={t('schedule.cameUp.whatDoneThere')} {...field('oneOff.title')} />
              <QuantityField
                label={t('schedule.cameUp.minutesHandwork')}
                kind="number"
                {...control('oneOff.minutes')}
              />
            </>
          ) : (
            <>
              <TextField label={t('schedule.cameUp.firstDay')} type="date" min={today} {...field('from')} />
              <TextField label={t('schedule.cameUp.lastDay')} type="date" min={from} {...field('to')} />
            </>
          )}
          {kind === 'emergency' || from === today ? (
            <TextField label={t('schedule.cameUp.crewsFreeFromEmpty')} type="time" {...field('fromTime')} />
          ) : null}
        </div>
        <ProblemNote problem={problem} />
        <button className="btn btn-primary mt-1" disabled={busy || sending || crews.length === 0}>
          {t('schedule.cameUp.rePlan')}
        </button>
        {kind === 'emergency' ? (
          <span className="soft small ms-2">{t('schedule.cameUp.shortCircuitEscapingGas')}</span>
        ) : null}
      </form>
    </details>
  )
}
