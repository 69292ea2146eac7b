'use client'
import { type TextId, type Texts, textId, useTexts } from '@/ui/kit/texts'
import { useState } from 'react'
import type { LeakAdvice, LossVerdict } from '@/core/season/water-balance'
import type { Pond } from '@/domain/ponds/pond'
import { may } from '@/domain/people/roles'
import type { WaterLoss } from '@/server/survey/water-loss'
import { CheckField } from '@/ui/kit/check-field'
import { ProblemNote } from '@/ui/kit/problem-note'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { usePerson, useShow } from '@/ui/person-context'
import { useSave } from '@/ui/use-save'

const ADVICE: Readonly<Record<LeakAdvice, TextId>> = {
  'no-logs': textId('survey.waterLoss.logHowFarLevel'),
  evaporation: textId('survey.waterLoss.whatWeatherTakesNo'),
  shell: textId('survey.waterLoss.lostPumpOffToo'),
  'moving-water': textId('survey.waterLoss.lostPumpOnlyLook'),
  'try-pump-off': textId('survey.waterLoss.moreLostThanWeather'),
  undecided: textId('survey.waterLoss.undecided'),
}

/** Nothing is ever quite sure from a ruler. */
const likely = (share: number, t: Texts): string => {
  if (share > 0.99) return t('survey.waterLoss.moreThan99')
  if (share < 0.01) return t('survey.waterLoss.lessThan1')
  return `${Math.round(share * 100)} %`
}

/** Evaporation or a leak: what the pond should lose, what its logs say, and how much to top up. */
export function WaterLossPanel({ pond, loss, today }: { pond: Pond; loss: WaterLoss; today: string }) {
  const t = useTexts()

  const show = useShow()
  const { role } = usePerson()
  const { leak } = loss.balance
  const mm = (value: number) => show(value / 1000, 'length', { scale: 'small' })
  const line = (name: string, verdict: LossVerdict | null) =>
    verdict ? (
      <li>
        {t('survey.waterLoss.fallsDayExpectedLeak', {
          name,
          measuredMmPerD: mm(verdict.measuredMmPerD),
          expectedMmPerD: mm(verdict.expectedMmPerD),
        })}
      </li>
    ) : null
  return (
    <>
      <p className="mb-1">
        {t('survey.waterLoss.weatherTakesAboutDay', {
          expectedMmPerD: mm(loss.expectedMmPerD),
          topUpM3PerWeek: show(loss.balance.topUpM3PerWeek, 'volume'),
          waterSource: pond.waterSource === 'mains' ? t('survey.waterLoss.dechlorinateWhatToppedUp') : '',
        })}
      </p>
      <ul className="plain-list mb-1">
        {line(t('survey.waterLoss.pump'), loss.balance.on)}
        {line(t('survey.waterLoss.pumpOff'), loss.balance.off)}
        {leak ? (
          <li>
            {t('survey.waterLoss.leakLikely', {
              any: likely(leak.shell + leak.movingWater, t),
              shell: likely(leak.shell, t),
              moving: likely(leak.movingWater, t),
            })}
          </li>
        ) : null}
      </ul>
      <p className="mb-1">{t(ADVICE[loss.balance.advice])}</p>
      {loss.logs.length > 0 ? (
        <p className="soft small mb-1">
          {loss.logs
            .slice(0, 6)
            .map((log) =>
              t('survey.waterLoss.hPump', {
                day: t.shortDate(log.day),
                dropMm: mm(log.dropMm),
                hours: log.hours,
                pumpOn: log.pumpOn ? 'on' : 'off',
                added: log.addedM3 > 0 ? t('survey.waterLoss.added', { added: show(log.addedM3, 'volume') }) : '',
                bucketDropMm:
                  log.bucketDropMm === null ? '' : t('survey.waterLoss.bucket', { bucketDropMm: mm(log.bucketDropMm) }),
              }),
            )
            .join('; ')}
        </p>
      ) : null}
      {may(role, 'visits.log') ? (
        <details className="no-print">
          <summary className="btn btn-sm btn-outline-primary">{t('survey.waterLoss.logLevel')}</summary>
          <LevelForm pond={pond} today={today} />
        </details>
      ) : null}
    </>
  )
}

const EMPTY = {
  hours: 24 as number | null,
  dropM: null as number | null,
  bucketM: null as number | null,
  addedM3: null as number | null,
  pumpOn: true,
}
const inMm = (m: number | null): number | null => (m === null ? null : m * 1000)

function LevelForm({ pond, today }: { pond: Pond; today: string }) {
  const t = useTexts()

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
      addedM3: values.addedM3 ?? 0,
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
        <TextField
          label={t('survey.waterLoss.daySecondLook')}
          type="date"
          value={day}
          onChange={(e) => setDay(e.target.value)}
          error={errorOf('day')}
        />
        <QuantityField
          label={t('survey.waterLoss.hoursBetweenLooks')}
          kind="number"
          value={values.hours}
          onChange={(hours) => setValues({ ...values, hours })}
          error={errorOf('hours')}
        />
        <QuantityField
          label={t('survey.waterLoss.pondFell')}
          kind="length"
          scale="small"
          value={values.dropM}
          onChange={(dropM) => setValues({ ...values, dropM })}
          error={errorOf('dropMm')}
        />
        <QuantityField
          label={t('survey.waterLoss.bucketFell')}
          kind="length"
          scale="small"
          optional
          value={values.bucketM}
          onChange={(bucketM) => setValues({ ...values, bucketM })}
          error={errorOf('bucketDropMm')}
        />
        <QuantityField
          label={t('survey.waterLoss.waterAdded')}
          kind="volume"
          optional
          value={values.addedM3}
          onChange={(addedM3) => setValues({ ...values, addedM3 })}
          error={errorOf('addedM3')}
        />
      </div>
      <CheckField
        label={t('survey.waterLoss.pumpMeanwhile')}
        checked={values.pumpOn}
        onChange={(pumpOn) => setValues({ ...values, pumpOn })}
      />
      <ProblemNote problem={problem} />
      <button className="btn btn-sm btn-primary">{t('survey.waterLoss.keepLog')}</button>
    </form>
  )
}
