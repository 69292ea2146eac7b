'use client'
import type { QuantityKind } from '@/core/units/kinds'
import { addDays } from '@/core/numeric/calendar'
import { shortDate } from '@/domain/shared/dates'
import { EVENT_NAMES, type WhatIfEvent } from '@/domain/forecasts/what-if-events'
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
const NUMBERS: Readonly<Record<string, { readonly label: string; readonly kind: QuantityKind; readonly scale?: 'small' }>> = {
  share: { label: 'How much', kind: 'share' },
  fraction: { label: 'How much', kind: 'share' },
  keptShare: { label: 'Leaves kept out', kind: 'share' },
  factor: { label: 'Of the usual feed', kind: 'share' },
  massKg: { label: 'Fish', kind: 'mass' },
  gPerD: { label: 'Oxygen, g a day', kind: 'number' },
  byDKH: { label: 'Raised by', kind: 'hardness' },
  days: { label: 'Days', kind: 'number' },
  warmerC: { label: 'Warmer by', kind: 'temperatureStep' },
  rainMm: { label: 'Rain, mm', kind: 'number' },
  siltGPerM3: { label: 'Mud, g/m³', kind: 'number' },
}

const CHOICES: Readonly<Record<string, { readonly label: string; readonly options: readonly { value: string; label: string }[] }>> = {
  running: { label: 'Pump', options: yesNo('runs again', 'stops') },
  on: { label: 'Lamp', options: yesNo('on', 'off') },
  open: { label: 'Hole', options: yesNo('kept open', 'closes') },
  dechlorinated: { label: 'New water', options: yesNo('dechlorinated', 'straight from the tap') },
  water: {
    label: 'Rinsed in',
    options: [
      { value: 'pond', label: 'pond water' },
      { value: 'tap', label: 'tap water' },
    ],
  },
  plants: {
    label: 'Plants',
    options: [
      { value: 'marginals', label: 'of the bed' },
      { value: 'floating', label: 'floating' },
      { value: 'lilies', label: 'lilies' },
      { value: 'submerged', label: 'oxygenators' },
    ],
  },
}

function yesNo(yes: string, no: string) {
  return [
    { value: 'true', label: yes },
    { value: 'false', label: no },
  ]
}

/** One event of a way: its day and its figures. */
export function EventFields({ event, from, days, onChange, onRemove }: EventFieldsProps) {
  const set = (key: string, value: unknown) => onChange({ ...event, [key]: value } as WhatIfEvent)
  const rest = Object.entries(event).filter(([key]) => key !== 'kind' && key !== 'day')
  const readable = Number.isFinite(event.day) && event.day >= 0
  return (
    <li className="lab-event">
      <div className="d-flex justify-content-between">
        <strong>{EVENT_NAMES[event.kind]}</strong>
        <button className="btn btn-sm btn-link p-0" onClick={onRemove} aria-label={`Take out: ${EVENT_NAMES[event.kind]}, day ${event.day}`}>
          Take out
        </button>
      </div>
      <div className="field-grid tight">
        <QuantityField
          label="Day"
          kind="number"
          value={event.day}
          onChange={(value) => set('day', value ?? Number.NaN)}
          hint={readable ? shortDate(addDays(from, Math.floor(event.day))) : ''}
          error={readable && event.day >= days ? `The run ends on day ${days}.` : undefined}
        />
        {rest.map(([key, value]) => {
          if (NUMBERS[key]) return <QuantityField key={key} {...NUMBERS[key]} value={value as number} onChange={(next) => set(key, next ?? Number.NaN)} />
          const choice = CHOICES[key]
          return choice ? (
            <ChoiceField
              key={key}
              label={choice.label}
              options={choice.options}
              value={String(value)}
              onChange={(e) => set(key, typeof value === 'boolean' ? e.target.value === 'true' : e.target.value)}
            />
          ) : null
        })}
      </div>
    </li>
  )
}
