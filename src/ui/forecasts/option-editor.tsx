'use client'
import { textId, useTexts } from '@/ui/kit/texts'
import { AS_IT_IS, type PondModel, type WhatIfOption } from '@/domain/forecasts/what-if'
import { EVENT_KINDS, type WhatIfEvent } from '@/domain/forecasts/what-if-events'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { EventFields } from './event-fields'
import type { WhatIfState } from './use-what-if'

const SWITCH = [
  { value: 'as-it-is', label: textId('forecasts.optionEditor.asItIs') },
  { value: 'on', label: textId('forecasts.optionEditor.on') },
  { value: 'off', label: textId('forecasts.optionEditor.off') },
]
const STOPS = [
  { value: 'as-it-is', label: textId('forecasts.optionEditor.asItIs') },
  { value: 'stays-wet', label: textId('forecasts.optionEditor.staysWet') },
  { value: 'drains', label: textId('forecasts.optionEditor.drains') },
]

/** Everything that makes one way: its filter, stock and equipment, and what happens on which day. */
export function OptionEditor({ model, state }: { model: PondModel; state: WhatIfState }) {
  const t = useTexts()

  const index = state.chosen
  const { whatIf } = state
  const option = whatIf.options[index]!
  const set = (changes: Partial<WhatIfOption>) => state.changeOption(index, changes)
  const times = (key: 'filterSize' | 'fish' | 'feed', label: string) => (
    <QuantityField
      label={label}
      kind="share"
      value={option[key]}
      onChange={(value) => set({ [key]: value ?? Number.NaN })}
    />
  )
  const chosenFilter = model.filters.some((f) => f.key === option.filter) ? option.filter : AS_IT_IS
  return (
    <div role="tabpanel" id="what-if-option" aria-labelledby={`what-if-option-${index}`}>
      <TextField
        label={t('forecasts.optionEditor.nameWay')}
        value={option.name}
        maxLength={60}
        onChange={(e) => set({ name: e.target.value })}
      />
      <div className="field-grid tight mt-2">
        <ChoiceField
          className="wide"
          label={t('forecasts.optionEditor.filter')}
          options={model.filters.map((f) => ({ value: f.key, label: f.name }))}
          value={chosenFilter}
          onChange={(e) => set({ filter: e.target.value as WhatIfOption['filter'] })}
        />
        {times('filterSize', t('forecasts.optionEditor.filterSize'))}
        {times('fish', t('forecasts.optionEditor.fish'))}
        {times('feed', t('forecasts.optionEditor.feed'))}
        <ChoiceField
          label={t('forecasts.optionEditor.uv')}
          options={SWITCH.map((o) => ({ ...o, label: t(o.label) }))}
          value={option.uv}
          onChange={(e) => set({ uv: e.target.value as WhatIfOption['uv'] })}
        />
        <ChoiceField
          label={t('forecasts.optionEditor.aerator')}
          options={SWITCH.map((o) => ({ ...o, label: t(o.label) }))}
          value={option.aerator}
          onChange={(e) => set({ aerator: e.target.value as WhatIfOption['aerator'] })}
        />
        <ChoiceField
          label={t('forecasts.optionEditor.bedPumpOff')}
          options={STOPS.map((o) => ({ ...o, label: t(o.label) }))}
          value={option.airBreak}
          onChange={(e) => set({ airBreak: e.target.value as WhatIfOption['airBreak'] })}
        />
      </div>
      <h3 className="mt-3">{t('forecasts.optionEditor.whatHappens')}</h3>
      {option.events.length === 0 ? (
        <p className="soft mb-1">{t('forecasts.optionEditor.nothingSpecialAddWhat')}</p>
      ) : null}
      <ul className="plain-list">
        {option.events.map((event, at) => (
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
        label={t('forecasts.optionEditor.addWay')}
        options={[
          { value: '', label: t('forecasts.optionEditor.choose') },
          ...EVENT_KINDS.map((kind) => ({ value: kind, label: t(`forecasts.eventNames.${kind}`) })),
        ]}
        value=""
        onChange={(e) => e.target.value && state.addEvent(index, e.target.value as WhatIfEvent['kind'])}
      />
    </div>
  )
}
