'use client'
import { useTexts } from '@/ui/kit/texts'
import type { ComponentProps } from 'react'
import type { VisitPlanningData } from '@/server/visits/visit-planning'
import { TextField } from '@/ui/kit/text-field'

interface DayChoiceProps {
  readonly data: Pick<VisitPlanningData, 'window' | 'proposals' | 'today'>
  readonly day: string
  readonly onDay: (day: string) => void
  readonly dayField: Omit<ComponentProps<typeof TextField>, 'label'>
}

/** The window, its likeliest days, or any other. */
export function DayChoice({ data: { window, proposals, today }, day, onDay, dayField }: DayChoiceProps) {
  const t = useTexts()
  return (
    <fieldset className="mt-0 border-0 pt-0">
      <legend>{t('season.planForm.day')}</legend>
      {window ? (
        <p className="soft mb-2">
          {t('season.planForm.windowBestAroundShare', {
            earliest: t.shortDate(window.earliest),
            latest: t.datedDay(window.latest),
            best: t.shortDate(window.best),
          })}
        </p>
      ) : (
        <p className="soft mb-2">{t('season.planForm.pondHasNoWindow')}</p>
      )}
      <div className="day-choice mb-2">
        {proposals.map((p) => (
          <label key={p.day}>
            <input
              type="radio"
              name="proposal"
              className="form-check-input me-1"
              checked={day === p.day}
              onChange={() => onDay(p.day)}
            />
            {t.shortDate(p.day)}
            <span className="soft small d-block">
              {t('season.planForm.years', { likelihood: Math.round(p.likelihood * 100) })}
            </span>
            <span className="bar-track" aria-hidden="true">
              <span style={{ width: `${p.likelihood * 100}%` }} />
            </span>
          </label>
        ))}
      </div>
      <TextField label={t('season.planForm.day')} type="date" min={today} {...dayField} />
      {window && (day < window.earliest || day > window.latest) ? (
        <p className="small mt-1 mb-0" style={{ color: 'var(--amber)' }}>
          {t('season.planForm.dayLiesOutsideWindow')}
        </p>
      ) : null}
    </fieldset>
  )
}
