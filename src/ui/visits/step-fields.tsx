'use client'
import { type TextId, textId, useTexts } from '@/ui/kit/texts'
import { STEP_FIGURE_NAMES, type StepFigure } from '@/core/visits/figures'
import { STEP_KINDS, type VisitStep, type StepKind } from '@/core/visits/step'
import { PRODUCT_PURPOSES } from '@/core/water/dosing/products'
import { READING_KINDS, type ReadingKindName } from '@/core/water/readings'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'
import { ChoiceFields } from './choice-fields'

const KIND_NAMES: Readonly<Record<StepKind, TextId>> = {
  do: textId('visits.stepFields.do'),
  measure: textId('visits.stepFields.measure'),
  dose: textId('visits.stepFields.dose'),
  timer: textId('visits.stepFields.waitTimer'),
  photo: textId('visits.stepFields.photograph'),
  decide: textId('visits.stepFields.decide'),
  'count-fish': textId('visits.stepFields.countFish'),
  sign: textId('visits.stepFields.tellSign'),
}

interface StepFieldsProps {
  readonly step: VisitStep
  /** The usual step of this key; one of the firm's own has none. */
  readonly usual: VisitStep | undefined
  readonly locked: boolean
  readonly errorOf: (path: string) => string | undefined
  readonly onChange: (part: Partial<VisitStep>) => void
}

const without = <Item,>(list: readonly Item[] | undefined, item: Item, on: boolean): Item[] => [
  ...(list ?? []).filter((i) => i !== item),
  ...(on ? [item] : []),
]

/** What one step says, asks and gives. */
export function StepFields({ step, usual, locked, errorOf, onChange }: StepFieldsProps) {
  const t = useTexts()

  const text = (label: string, key: 'section' | 'title' | 'detail' | 'safety', area = false) =>
    area ? (
      <label className="d-block mb-2">
        {label}
        <textarea
          className="form-control"
          rows={3}
          disabled={locked}
          value={step[key] ?? ''}
          onChange={(e) => onChange({ [key]: e.target.value === '' ? undefined : e.target.value })}
        />
        {errorOf(key) ? <span className="field-error">{errorOf(key)}</span> : null}
      </label>
    ) : (
      <TextField
        label={label}
        value={step[key] ?? ''}
        disabled={locked}
        error={errorOf(key)}
        onChange={(e) => onChange({ [key]: e.target.value })}
      />
    )
  return (
    <>
      <h2>{t('visits.stepFields.step')}</h2>
      {usual?.gate ? <p className="stop-note">{t('visits.stepFields.stepHasStopProtects')}</p> : null}
      {text(t('visits.stepFields.title'), 'title')}
      {text(t('visits.stepFields.section'), 'section')}
      <ChoiceField
        label={t('visits.stepFields.kind')}
        value={step.kind}
        disabled={locked || usual !== undefined}
        onChange={(e) => onChange({ kind: e.target.value as StepKind })}
        options={STEP_KINDS.map((kind) => ({ value: kind, label: t(KIND_NAMES[kind]) }))}
      />
      {text(t('visits.stepFields.whatDo'), 'detail', true)}
      {text(t('visits.stepFields.safetyNote'), 'safety', true)}
      {step.kind === 'timer' || step.timerMinutes !== undefined ? (
        <QuantityField
          label={t('visits.stepFields.timerMinutes')}
          kind="number"
          value={step.timerMinutes ?? null}
          disabled={locked}
          error={errorOf('timerMinutes')}
          onChange={(v) => onChange({ timerMinutes: v ?? undefined })}
        />
      ) : null}
      {step.kind === 'decide' ? (
        <ChoiceFields
          choices={step.choices ?? []}
          locked={locked}
          fixed={usual?.gate !== undefined}
          error={errorOf('choices')}
          onChange={(choices) => onChange({ choices })}
        />
      ) : null}
      <CheckField
        label={t('visits.stepFields.countsAllPondsStop')}
        checked={step.onceAtStop ?? false}
        disabled={locked}
        onChange={(on) => onChange({ onceAtStop: on || undefined })}
      />
      <details className="mt-1">
        <summary>{t('visits.stepFields.testsFiguresProducts')}</summary>
        {errorOf('readings') ? <div className="field-error">{errorOf('readings')}</div> : null}
        <fieldset disabled={locked}>
          <legend>{t('visits.stepFields.tests')}</legend>
          <div className="d-flex flex-wrap gap-3">
            {(Object.keys(READING_KINDS) as ReadingKindName[]).map((kind) => (
              <CheckField
                key={kind}
                label={t(`water.readingNames.${kind}`)}
                checked={step.readings?.includes(kind) ?? false}
                onChange={(on) =>
                  onChange({
                    readings: without(step.readings, kind, on),
                    required: step.required?.filter((r) => on || r !== kind),
                  })
                }
              />
            ))}
          </div>
        </fieldset>
        <fieldset disabled={locked}>
          <legend>{t('visits.stepFields.figures')}</legend>
          <div className="d-flex flex-wrap gap-3">
            {STEP_FIGURE_NAMES.map((figure: StepFigure) => (
              <CheckField
                key={figure}
                label={t(`visits.figureNames.${figure}`)}
                checked={step.figures?.includes(figure) ?? false}
                onChange={(on) => onChange({ figures: without(step.figures, figure, on) })}
              />
            ))}
          </div>
        </fieldset>
        <fieldset disabled={locked}>
          <legend>{t('visits.stepFields.products')}</legend>
          <div className="d-flex flex-wrap gap-3">
            {PRODUCT_PURPOSES.map((purpose) => (
              <CheckField
                key={purpose}
                label={t(`stores.purposeNames.${purpose}`)}
                checked={step.products?.includes(purpose) ?? false}
                onChange={(on) => onChange({ products: without(step.products, purpose, on) })}
              />
            ))}
          </div>
        </fieldset>
      </details>
    </>
  )
}
