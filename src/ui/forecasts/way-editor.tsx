'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { AS_IT_IS, type LabPond, type Way } from '@/domain/forecasts/what-if'
import { EVENT_KINDS, type WhatIfEvent } from '@/domain/forecasts/what-if-events'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { EventFields } from './event-fields'
import type { WhatIfState } from './use-what-if'

const SWITCH = [
  { value: 'as-it-is', label: textId('forecasts.wayEditor.asItIs') },
  { value: 'on', label: textId('forecasts.wayEditor.on') },
  { value: 'off', label: textId('forecasts.wayEditor.off') },
]
const STOPS = [
  { value: 'as-it-is', label: textId('forecasts.wayEditor.asItIs') },
  { value: 'stays-wet', label: textId('forecasts.wayEditor.staysWet') },
  { value: 'drains', label: textId('forecasts.wayEditor.drains') },
]

/** Everything that makes one way: its filter, stock and equipment, and what happens on which day. */
export function WayEditor({ lab, state }: { lab: LabPond; state: WhatIfState }) {
  const t = useTexts()

  const index = state.chosen
  const { whatIf } = state
  const way = whatIf.ways[index]
  const set = (changes: Partial<Way>) => state.changeWay(index, changes)
  const times = (key: 'filterSize' | 'fish' | 'feed', label: string) => (
    <QuantityField label={label} kind="share" value={way[key]} onChange={(value) => set({ [key]: value ?? Number.NaN })} />
  )
  const chosenFilter = lab.filters.some((f) => f.key === way.filter) ? way.filter : AS_IT_IS
  return (
    <div role="tabpanel" id="lab-way" aria-labelledby={`lab-way-${index}`}>
      <TextField label={t('forecasts.wayEditor.nameWay')} value={way.name} maxLength={60} onChange={(e) => set({ name: e.target.value })} />
      <div className="field-grid tight mt-2">
        <ChoiceField
          className="wide"
          label={t('forecasts.wayEditor.filter')}
          options={lab.filters.map((f) => ({ value: f.key, label: f.name }))}
          value={chosenFilter}
          onChange={(e) => set({ filter: e.target.value as Way['filter'] })}
        />
        {times('filterSize', t('forecasts.wayEditor.filterSize'))}
        {times('fish', t('forecasts.wayEditor.fish'))}
        {times('feed', t('forecasts.wayEditor.feed'))}
        <ChoiceField
          label={t('forecasts.wayEditor.uv')}
          options={SWITCH.map((o) => ({ ...o, label: t(o.label) }))}
          value={way.uv}
          onChange={(e) => set({ uv: e.target.value as Way['uv'] })}
        />
        <ChoiceField
          label={t('forecasts.wayEditor.aerator')}
          options={SWITCH.map((o) => ({ ...o, label: t(o.label) }))}
          value={way.aerator}
          onChange={(e) => set({ aerator: e.target.value as Way['aerator'] })}
        />
        <ChoiceField
          label={t('forecasts.wayEditor.bedPumpOff')}
          options={STOPS.map((o) => ({ ...o, label: t(o.label) }))}
          value={way.airBreak}
          onChange={(e) => set({ airBreak: e.target.value as Way['airBreak'] })}
        />
      </div>
      <h3 className="mt-3">{t('forecasts.wayEditor.whatHappens')}</h3>
      {way.events.length === 0 ? <p className="soft mb-1">{t('forecasts.wayEditor.nothingSpecialAddWhat')}</p> : null}
      <ul className="plain-list">
        {way.events.map((event, at) => (
          <EventFields
            key={at}
            event={event}
            from={whatIf.from}
            days={whatIf.days}
            onChange={(next) => state.changeEvent(index, at, next)}
            onRemove={() => state.removeEvent(index, at)}
          />
        ))}
      </ul>
      <ChoiceField
        label={t('forecasts.wayEditor.addWay')}
        options={[
          { value: '', label: t('forecasts.wayEditor.choose') },
          ...EVENT_KINDS.map((kind) => ({ value: kind, label: t(`forecasts.eventNames.${kind}`) })),
        ]}
        value=""
        onChange={(e) => e.target.value && state.addEvent(index, e.target.value as WhatIfEvent['kind'])}
      />
    </div>
  )
}
