'use client'
import { useTexts } from '@/ui/kit/texts'
import { PRODUCT_PURPOSES, RATE_BASES, type Product } from '@/core/water/dosing/products'
import { CheckField } from '@/ui/kit/check-field'
import { ChoiceField } from '@/ui/kit/choice-field'
import { QuantityField } from '@/ui/kit/quantity-field'
import { TextField } from '@/ui/kit/text-field'

/** What the fields of a product work on. */
export interface FieldsOfProduct {
  readonly product: Product
  readonly locked: boolean
  readonly errorOf: (path: string) => string | undefined
  readonly onChange: (part: Partial<Product>) => void
}

interface FigureProps {
  readonly label: string
  readonly value: number
  readonly onChange: (value: number) => void
  readonly disabled: boolean
  readonly error: string | undefined
  readonly kind?: 'number' | 'temperature'
}

/** A figure that a label must give: left empty, it is refused when the book is saved. */
function Figure({ onChange, kind = 'number', ...field }: FigureProps) {
  return <QuantityField {...field} kind={kind} onChange={(v) => onChange(v ?? Number.NaN)} />
}

/** How much for how much water, how warm that may be. */
export function RateFields({ product, locked, errorOf, onChange }: FieldsOfProduct) {
  const t = useTexts()
  return (
    <>
      <Figure
        label={t('stores.productBookEditor.rate')}
        value={product.rate}
        onChange={(rate) => onChange({ rate })}
        disabled={locked}
        error={errorOf('rate')}
      />
      <ChoiceField
        label={t('stores.productBookEditor.rate2')}
        value={product.basis}
        disabled={locked}
        onChange={(e) => onChange({ basis: e.target.value as Product['basis'] })}
        options={RATE_BASES.map((b) => ({ value: b, label: t(`stores.basisNames.${b}`) }))}
      />
      <Figure
        label={t('stores.productBookEditor.mostLabelPerM')}
        value={product.mostPerM3}
        onChange={(maxPerM3) => onChange({ mostPerM3: maxPerM3 })}
        disabled={locked}
        error={errorOf('mostPerM3')}
      />
      <ChoiceField
        label={t('stores.productBookEditor.treats')}
        value={product.treats}
        disabled={locked}
        onChange={(e) => onChange({ treats: e.target.value as Product['treats'] })}
        options={[
          { value: 'system', label: t('stores.productBookEditor.wholeSystem') },
          { value: 'new-water', label: t('stores.productBookEditor.newWaterOnly') },
        ]}
      />
      <Figure
        label={t('stores.productBookEditor.coldestWater')}
        value={product.waterC[0]}
        onChange={(c) => onChange({ waterC: [c, product.waterC[1]] })}
        disabled={locked}
        error={errorOf('waterC.0')}
        kind="temperature"
      />
      <Figure
        label={t('stores.productBookEditor.warmestWater')}
        value={product.waterC[1]}
        onChange={(c) => onChange({ waterC: [product.waterC[0], c] })}
        disabled={locked}
        error={errorOf('waterC.1')}
        kind="temperature"
      />
    </>
  )
}

/** What it is measured with, and how often it is given again. */
export function MeasureFields({ product, locked, errorOf, onChange }: FieldsOfProduct) {
  const t = useTexts()
  return (
    <>
      <TextField
        label={t('stores.productBookEditor.measureScoopPumpStroke')}
        value={product.measure?.name ?? ''}
        disabled={locked}
        onChange={(e) =>
          onChange({
            measure: e.target.value === '' ? null : { name: e.target.value, holds: product.measure?.holds ?? 10 },
          })
        }
        error={errorOf('measure.name')}
      />
      {product.measure ? (
        <Figure
          label={t('stores.productBookEditor.holds', { name: product.measure.name, unit: product.unit })}
          value={product.measure.holds}
          onChange={(holds) => onChange({ measure: { ...product.measure!, holds } })}
          disabled={locked}
          error={errorOf('measure.holds')}
        />
      ) : null}
      <QuantityField
        label={t('stores.productBookEditor.repeatTimesMore')}
        kind="number"
        value={product.repeats?.times ?? null}
        disabled={locked}
        optional
        onChange={(v) => onChange({ repeats: v ? { times: v, everyDays: product.repeats?.everyDays ?? 7 } : null })}
        error={errorOf('repeats.times')}
      />
      {product.repeats ? (
        <Figure
          label={t('stores.productBookEditor.repeatEverySoMany')}
          value={product.repeats.everyDays}
          onChange={(everyDays) => onChange({ repeats: { ...product.repeats!, everyDays } })}
          disabled={locked}
          error={errorOf('repeats.everyDays')}
        />
      ) : null}
    </>
  )
}

/** What it must not meet, and who may apply it. */
export function ApartFields({ product, locked, errorOf, onChange }: FieldsOfProduct) {
  const t = useTexts()
  return (
    <fieldset disabled={locked}>
      <legend>{t('stores.productBookEditor.neverWithinSoMany')}</legend>
      <div className="d-flex gap-3 flex-wrap align-items-end">
        {PRODUCT_PURPOSES.filter((p) => p !== product.purpose).map((p) => (
          <CheckField
            key={p}
            label={t(`stores.purposeNames.${p}`)}
            checked={product.apart?.purposes.includes(p) ?? false}
            onChange={(on) => {
              const purposes = on
                ? [...(product.apart?.purposes ?? []), p]
                : (product.apart?.purposes ?? []).filter((q) => q !== p)
              onChange({ apart: purposes.length === 0 ? null : { purposes, hours: product.apart?.hours ?? 24 } })
            }}
          />
        ))}
        {product.apart ? (
          <Figure
            label={t('stores.productBookEditor.hours')}
            value={product.apart.hours}
            onChange={(hours) => onChange({ apart: { ...product.apart!, hours } })}
            disabled={locked}
            error={errorOf('apart.hours')}
          />
        ) : null}
        <CheckField
          label={t('stores.productBookEditor.onlyLicensedApplicator')}
          checked={product.licence}
          onChange={(licence) => onChange({ licence })}
        />
      </div>
    </fieldset>
  )
}
