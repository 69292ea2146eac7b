'use client'
import type { Objective, WaterMeasure } from '@/core/filter/options/option-problem'
import { FILTER_TYPES, type FilterType } from '@/core/filter/types'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { useTexts } from '@/ui/kit/texts'

type Care = Exclude<Objective, 'price'>
const CARES: readonly Care[] = ['water', 'hours', 'energy']

/** What is asked of the search. */
export interface OptionsAsked {
  readonly types: readonly FilterType[]
  /** Whole money; null: no limit. */
  readonly budget: number | null
  readonly care: Care
}

interface OptionsFormProps {
  readonly asked: OptionsAsked
  readonly currency: string
  readonly working: boolean
  /** What the water is judged by at this pond. */
  readonly measure: WaterMeasure
  readonly onChange: (asked: OptionsAsked) => void
  readonly onFind: () => void
  readonly onStop: () => void
}

/** Kinds that may be built, what it may cost, and what the customer cares for. */
export function OptionsForm({ asked, currency, working, measure, onChange, onFind, onStop }: OptionsFormProps) {
  const t = useTexts()
  const toggle = (type: FilterType, on: boolean) =>
    onChange({ ...asked, types: FILTER_TYPES.filter((one) => (one === type ? on : asked.types.includes(one))) })
  const badBudget = asked.budget !== null && !(asked.budget > 0)
  return (
    <>
      <fieldset className="mb-2">
        <legend className="form-label mb-1 fs-6">{t('options.page.types')}</legend>
        <div className="d-flex flex-wrap gap-3">
          {FILTER_TYPES.filter((type) => type !== 'none').map((type) => (
            <CheckField
              key={type}
              label={t(`design.filterTypeNames.${type}`)}
              checked={asked.types.includes(type)}
              onChange={(on) => toggle(type, on)}
            />
          ))}
        </div>
      </fieldset>
      <div className="field-grid">
        <QuantityField
          label={t('options.page.budget', { currency })}
          kind="number"
          optional
          value={asked.budget}
          onChange={(budget) => onChange({ ...asked, budget })}
          error={badBudget ? t('options.page.badBudget') : undefined}
        />
        <ChoiceField
          label={t('options.page.care')}
          value={asked.care}
          onChange={(e) => onChange({ ...asked, care: e.target.value as Care })}
          options={CARES.map((care) => ({
            value: care,
            label: t(`options.cares.${care === 'water' ? measure : care}`),
          }))}
        />
      </div>
      {asked.types.length === 0 ? <p className="field-error mb-1">{t('options.page.noTypes')}</p> : null}
      <div className="d-flex gap-2 mt-2">
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={working || asked.types.length === 0 || badBudget}
          onClick={onFind}
        >
          {t('options.page.find')}
        </button>
        {working ? (
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onStop}>
            {t('options.page.stop')}
          </button>
        ) : null}
      </div>
    </>
  )
}
