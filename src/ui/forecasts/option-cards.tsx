'use client'
import { AS_IT_IS, MAX_OPTIONS, type PondModel, type WhatIfOption } from '@/domain/forecasts/what-if'
import { Icon } from '@/ui/kit/icon'
import { useTexts, type Texts } from '@/ui/kit/texts'
import { Swatch } from './option-ink'
import type { WhatIfState } from './use-what-if'

const EVENTS_SHOWN = 3

/** The options side by side, each with what makes it; pressed, one is changed beside. */
export function OptionCards({ model, state }: { model: PondModel; state: WhatIfState }) {
  const t = useTexts()

  const { options } = state.whatIf
  return (
    <div className="option-cards">
      <div role="tablist" aria-label={t('forecasts.whatIfView.ways')}>
        {options.map((option, i) => (
          <button
            key={i}
            type="button"
            id={`what-if-option-${i}`}
            role="tab"
            aria-selected={i === state.chosen}
            aria-controls="what-if-option"
            className="option-card"
            onClick={() => state.choose(i)}
          >
            <strong>
              <Swatch index={i} /> {option.name || t('forecasts.whatIfView.way', { i: i + 1 })}
            </strong>
            {partsOf(option, model, t).map((part) => (
              <span key={part}>{part}</span>
            ))}
          </button>
        ))}
      </div>
      <p className="mb-0">
        {options.length < MAX_OPTIONS ? (
          <button type="button" className="btn btn-sm btn-link" onClick={state.addOption}>
            <Icon name="plus-lg" /> {t('forecasts.whatIfView.addWay')}
          </button>
        ) : null}
        {options.length > 1 ? (
          <button type="button" className="btn btn-sm btn-link" onClick={() => state.removeOption(state.chosen)}>
            {t('forecasts.whatIfView.takeWayOut')}
          </button>
        ) : null}
      </p>
    </div>
  )
}

/** What sets an option apart from the pond as it is, in a few words each. */
function partsOf(option: WhatIfOption, model: PondModel, t: Texts): string[] {
  const times = (key: 'filterSize' | 'fish' | 'feed') =>
    option[key] === 1 ? [] : [t(`forecasts.optionCards.${key}`, { percent: Math.round(100 * option[key]) })]
  const switched = (key: 'uv' | 'aerator') =>
    option[key] === 'as-it-is' ? [] : [t(`forecasts.optionCards.${key}`, { to: option[key] })]
  const filter = model.filters.find((f) => f.key === option.filter)
  const events = option.events.map((e) =>
    t('forecasts.optionCards.event', { day: e.day + 1, event: t(`forecasts.eventNames.${e.kind}`) }),
  )
  const parts = [
    ...(filter && filter.key !== AS_IT_IS ? [filter.name] : []),
    ...times('filterSize'),
    ...times('fish'),
    ...times('feed'),
    ...switched('uv'),
    ...switched('aerator'),
    ...events.slice(0, EVENTS_SHOWN),
    ...(events.length > EVENTS_SHOWN ? [t('forecasts.optionCards.more', { count: events.length - EVENTS_SHOWN })] : []),
  ]
  return parts.length > 0 ? parts : [t('forecasts.optionCards.asItIs')]
}
