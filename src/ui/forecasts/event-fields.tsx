'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import type { QuantityKind } from '@/core/units/kinds'
import { addDays } from '@/core/numeric/calendar'
import { type WhatIfEvent } from '@/domain/forecasts/what-if-events'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'

interface EventFieldsProps {
  readonly event: WhatIfEvent
  readonly from: string
  readonly days: number
  readonly onChange: (event: WhatIfEvent) => void
  readonly onRemove: () => void
}

/** Numbers of events, with what they measure and how they are called. */
const NUMBERS: Readonly<
  Record<string, { readonly label: TextId; readonly kind: QuantityKind; readonly scale?: 'small' }>
> = {
  share: { label: textId('forecasts.eventFields.howMuch'), kind: 'share' },
  fraction: { label: textId('forecasts.eventFields.howMuch'), kind: 'share' },
  keptShare: { label: textId('forecasts.eventFields.leavesKeptOut'), kind: 'share' },
  factor: { label: textId('forecasts.eventFields.usualFeed'), kind: 'share' },
  massKg: { label: textId('forecasts.eventFields.fish'), kind: 'mass' },
  gPerD: { label: textId('forecasts.eventFields.oxygenGDay'), kind: 'number' },
  byDKH: { label: textId('forecasts.eventFields.raised'), kind: 'hardness' },
  days: { label: textId('forecasts.eventFields.days'), kind: 'number' },
  warmerC: { label: textId('forecasts.eventFields.warmer'), kind: 'temperatureStep' },
  rainMm: { label: textId('forecasts.eventFields.rainMm'), kind: 'number' },
  kg: { label: textId('forecasts.eventFields.weight'), kind: 'mass' },
  volumeM3: { label: textId('forecasts.eventFields.waterThatRunsIn'), kind: 'volume' },
  siltGPerM3: { label: textId('forecasts.eventFields.mudGM'), kind: 'number' },
}

const CHOICES: Readonly<
  Record<string, { readonly label: TextId; readonly options: readonly { value: string; label: TextId }[] }>
> = {
  running: {
    label: textId('forecasts.eventFields.pump'),
    options: yesNo(textId('forecasts.eventFields.runsAgain'), textId('forecasts.eventFields.stops')),
  },
  on: {
    label: textId('forecasts.eventFields.lamp'),
    options: yesNo(textId('forecasts.eventFields.on'), textId('forecasts.eventFields.off')),
  },
  open: {
    label: textId('forecasts.eventFields.hole'),
    options: yesNo(textId('forecasts.eventFields.keptOpen'), textId('forecasts.eventFields.closes')),
  },
  dechlorinated: {
    label: textId('forecasts.eventFields.newWater'),
    options: yesNo(textId('forecasts.eventFields.dechlorinated'), textId('forecasts.eventFields.straightFromTap')),
  },
  water: {
    label: textId('forecasts.eventFields.rinsed'),
    options: [
      { value: 'pond', label: textId('forecasts.eventFields.pondWater') },
      { value: 'tap', label: textId('forecasts.eventFields.tapWater') },
    ],
  },
  from: {
    label: textId('forecasts.eventFields.runsInFrom'),
    options: [
      { value: 'roof', label: textId('forecasts.eventFields.roof') },
      { value: 'lawn', label: textId('forecasts.eventFields.fedLawn') },
      { value: 'manure', label: textId('forecasts.eventFields.manuredGround') },
      { value: 'road', label: textId('forecasts.eventFields.saltedRoad') },
      { value: 'soil', label: textId('forecasts.eventFields.bareSoil') },
    ],
  },
  plants: {
    label: textId('forecasts.eventFields.plants'),
    options: [
      { value: 'marginals', label: textId('forecasts.eventFields.bed') },
      { value: 'floating', label: textId('forecasts.eventFields.floating') },
      { value: 'lilies', label: textId('forecasts.eventFields.lilies') },
      { value: 'submerged', label: textId('forecasts.eventFields.oxygenators') },
    ],
  },
}

function yesNo(yes: TextId, no: TextId) {
  return [
    { value: 'true', label: yes },
    { value: 'false', label: no },
  ]
}

/** One event of a way: its day and its figures. */
export function EventFields({ event, from, days, onChange, onRemove }: EventFieldsProps) {
  const t = useTexts()

  const set = (key: string, value: unknown) => onChange({ ...event, [key]: value } as WhatIfEvent)
  const rest = Object.entries(event).filter(([key]) => key !== 'kind' && key !== 'day')
  const readable = Number.isFinite(event.day) && event.day >= 0
  return (
    <li className="forecast-event">
      <div className="d-flex justify-content-between">
        <strong>{t(`forecasts.eventNames.${event.kind}`)}</strong>
        <button
          className="btn btn-sm btn-link p-0"
          onClick={onRemove}
          aria-label={t('forecasts.eventFields.takeOutDay', {
            kind: t(`forecasts.eventNames.${event.kind}`),
            day: event.day,
          })}
        >
          {t('forecasts.eventFields.takeOut')}
        </button>
      </div>
      <div className="field-grid tight">
        <QuantityField
          label={t('forecasts.eventFields.day')}
          kind="number"
          value={event.day}
          onChange={(value) => set('day', value ?? Number.NaN)}
          hint={readable ? t.shortDate(addDays(from, Math.floor(event.day))) : ''}
          error={readable && event.day >= days ? t('forecasts.eventFields.runEndsDay', { days }) : undefined}
        />
        {rest.map(([key, value]) => {
          if (NUMBERS[key])
            return (
              <QuantityField
                key={key}
                {...NUMBERS[key]}
                label={t(NUMBERS[key].label)}
                value={value as number}
                onChange={(next) => set(key, next ?? Number.NaN)}
              />
            )
          const choice = CHOICES[key]
          return choice ? (
            <ChoiceField
              key={key}
              label={t(choice.label)}
              options={choice.options.map((o) => ({ value: o.value, label: t(o.label) }))}
              value={String(value)}
              onChange={(e) => set(key, typeof value === 'boolean' ? e.target.value === 'true' : e.target.value)}
            />
          ) : null
        })}
      </div>
    </li>
  )
}
