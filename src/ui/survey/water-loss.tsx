'use client'
import { useState } from 'react'
import type { LeakAdvice, LossVerdict } from '@/core/season/water-balance'
import { shortDate } from '@/domain/shared/dates'
import type { Pond } from '@/domain/ponds/pond'
import { may } from '@/domain/people/roles'
import type { WaterLoss } from '@/server/survey/water-loss'
import { CheckField } from '@/ui/kit/check-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { usePerson, useShow } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'

const ADVICE: Readonly<Record<LeakAdvice, string>> = {
  'no-logs': 'Log how far the level falls in a day, with a bucket of pond water standing in the pond beside it, once with the pump on and once off.',
  evaporation: 'This is what the weather takes. No leak needs to be looked for.',
  shell: 'It is lost with the pump off too: look at the shell. Let the level fall until it stops, and search at that line.',
  'moving-water': 'It is lost with the pump on only: look at the stream, the falls and the filter’s edges, for settled liner and splash.',
  'try-pump-off': 'More is lost than the weather takes. Leave the pump off for a day if the fish can bear it, and log again: that tells where to look.',
}

/** Nothing is ever quite sure from a ruler. */
const likely = (share: number): string => (share > 0.99 ? 'more than 99 %' : share < 0.01 ? 'less than 1 %' : `${Math.round(share * 100)} %`)

/** Evaporation or a leak: what the pond should lose, what its logs say, and how much to top up. */
export function WaterLossPanel({ pond, loss, today }: { pond: Pond; loss: WaterLoss; today: string }) {
  const show = useShow()
  const { role } = usePerson()
  const mm = (value: number) => show(value / 1000, 'length', { scale: 'small' })
  const line = (name: string, verdict: LossVerdict | null) =>
    verdict ? (
      <li>
        {name}: falls {mm(verdict.measuredMmPerD)} a day, {mm(verdict.expectedMmPerD)} expected; a leak is <strong>{likely(verdict.leakLikelihood)}</strong>{' '}
        likely
      </li>
    ) : null
  return (
    <>
      <p className="mb-1">
        The weather takes about {mm(loss.expectedMmPerD)} a day now; top up about {show(loss.balance.topUpM3PerWeek, 'volume')} a week
        {pond.waterSource === 'mains' ? ', and dechlorinate what is topped up, not the whole pond' : ''}.
      </p>
      <ul className="plain-list mb-1">
        {line('Pump on', loss.balance.on)}
        {line('Pump off', loss.balance.off)}
      </ul>
      <p className="mb-1">{ADVICE[loss.balance.advice]}</p>
      {loss.logs.length > 0 ? (
        <p className="soft small mb-1">
          {loss.logs
            .slice(0, 6)
            .map(
              (log) =>
                `${shortDate(log.day)}: ${mm(log.dropMm)} in ${log.hours} h, pump ${log.pumpOn ? 'on' : 'off'}${log.bucketDropMm === null ? '' : `, bucket ${mm(log.bucketDropMm)}`}`,
            )
            .join('; ')}
        </p>
      ) : null}
      {may(role, 'visits.log') ? (
        <details className="no-print">
          <summary className="btn btn-sm btn-outline-primary">Log a level</summary>
          <LevelForm pond={pond} today={today} />
        </details>
      ) : null}
    </>
  )
}

const EMPTY = { hours: 24 as number | null, dropM: null as number | null, bucketM: null as number | null, pumpOn: true }
const inMm = (m: number | null): number | null => (m === null ? null : m * 1000)

function LevelForm({ pond, today }: { pond: Pond; today: string }) {
  const [day, setDay] = useState(today)
  const [values, setValues] = useState(EMPTY)
  const { problem, errorOf, save } = useSave()
  const keep = async () => {
    const kept = await save('POST', `/api/v1/ponds/${pond.id}/level-logs`, {
      day,
      hours: values.hours ?? undefined,
      dropMm: inMm(values.dropM) ?? undefined,
      bucketDropMm: inMm(values.bucketM),
      pumpOn: values.pumpOn,
    })
    if (kept) setValues(EMPTY)
  }
  return (
    <form
      className="mt-2"
      onSubmit={(e) => {
        e.preventDefault()
        void keep()
      }}
    >
      <div className="field-grid">
        <TextField label="Day of the second look" type="date" value={day} onChange={(e) => setDay(e.target.value)} error={errorOf('day')} />
        <QuantityField
          label="Hours between the looks"
          kind="number"
          value={values.hours}
          onChange={(hours) => setValues({ ...values, hours })}
          error={errorOf('hours')}
        />
        <QuantityField
          label="The pond fell"
          kind="length"
          scale="small"
          value={values.dropM}
          onChange={(dropM) => setValues({ ...values, dropM })}
          error={errorOf('dropMm')}
        />
        <QuantityField
          label="The bucket fell"
          kind="length"
          scale="small"
          optional
          value={values.bucketM}
          onChange={(bucketM) => setValues({ ...values, bucketM })}
          error={errorOf('bucketDropMm')}
        />
      </div>
      <CheckField label="Pump on meanwhile" checked={values.pumpOn} onChange={(pumpOn) => setValues({ ...values, pumpOn })} />
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">Keep this log</button>
    </form>
  )
}
